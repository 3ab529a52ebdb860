import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A recipe of the house, whatever its versions say. */
@Entity({ name: 'recipe' })
export class RecipeEntity {
  @PrimaryColumn('text', { primaryKeyConstraintName: 'recipe_pkey' })
  id: string;

  /** not offered any more; batches keep theirs */
  @Column('boolean', { name: 'put_away' })
  putAway: boolean;
}

import { Column, Entity, PrimaryColumn } from 'typeorm';

/** An observation that the house does not learn from. */
@Entity({ name: 'left_out' })
export class LeftOutEntity {
  /** the entry and the piece */
  @PrimaryColumn('text', { primaryKeyConstraintName: 'left_out_pkey' })
  id: string;

  @Column('text')
  by: string;

  @Column('timestamptz')
  at: Date;
}

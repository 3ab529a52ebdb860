import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The one cook-house of this database. */
@Entity({ name: 'house' })
export class HouseEntity {
  @PrimaryColumn('int', { primaryKeyConstraintName: 'house_pkey' })
  id: number;

  @Column('text')
  name: string;

  @Column('boolean')
  demo: boolean;

  /** the instant from which the demo is dated */
  @Column('timestamptz', { name: 'demo_from', nullable: true })
  demoFrom: Date | null;

  /** false while the demo is being written */
  @Column('boolean', { name: 'demo_whole' })
  demoWhole: boolean;
}

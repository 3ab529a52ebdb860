import type { HouseSettings } from '@bunkhouse/api';
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

  /** what was chosen; the rest is as usual */
  @Column('jsonb', { default: {} })
  settings: Partial<HouseSettings>;

  /** readings before this instant are thinned */
  @Column('timestamptz', { name: 'thinned_until', nullable: true })
  thinnedUntil: Date | null;
}

import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The secret address at which calendars outside subscribe: one row, none until somebody asks for it. */
@Entity({ name: 'calendar_feed' })
export class CalendarFeedEntity {
  @PrimaryColumn('int', { primaryKeyConstraintName: 'calendar_feed_pkey' })
  id: number;

  @Column('text')
  secret: string;

  /** minutes before a job at which a telephone rings; null for no alarm */
  @Column('int', { name: 'alarm_min', nullable: true })
  alarmMin: number | null;

  @Column('text', { name: 'changed_by' })
  changedBy: string;

  @Column('timestamptz', { name: 'changed_at' })
  changedAt: Date;
}

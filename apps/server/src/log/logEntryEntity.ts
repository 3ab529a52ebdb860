import type { LogEntry } from '@bunkhouse/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** One entry of a batch's log. Rows are never changed nor removed: a trigger of the database sees to it. */
@Entity({ name: 'log_entry' })
export class LogEntryEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'log_entry_pkey' })
  id: string;

  @Column('uuid', { name: 'batch_id' })
  batchId: string;

  /** order in the batch, from 1 */
  @Column('int')
  seq: number;

  @Column('text')
  kind: LogEntry['kind'];

  /** the whole entry as it was written */
  @Column('jsonb')
  body: LogEntry;

  @Column('timestamptz')
  at: Date;

  @Column('timestamptz', { name: 'recorded_at' })
  recordedAt: Date;
}

import type { LedgerLine } from '@bunkhouse/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The line of an ended batch in the Ledger: a cache that is rebuilt from the batch and its log whenever an entry is written. */
@Entity({ name: 'ledger_line' })
export class LedgerLineEntity {
  @PrimaryColumn('uuid', { name: 'batch_id', primaryKeyConstraintName: 'ledger_line_pkey' })
  batchId: string;

  @Column('timestamptz', { name: 'ended_at' })
  endedAt: Date;

  @Column('jsonb')
  row: LedgerLine;
}

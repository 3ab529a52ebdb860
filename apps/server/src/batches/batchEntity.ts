import type { BatchDesign, Process } from '@bunkhouse/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A batch as it was started. Rows are never changed: a trigger of the database sees to it. */
@Entity({ name: 'batch' })
export class BatchEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'batch_pkey' })
  id: string;

  @Column('text')
  code: string;

  @Column('jsonb')
  design: BatchDesign;

  /** the process it was started with, whole */
  @Column('jsonb')
  process: Process;

  @Column('text', { name: 'created_by' })
  createdBy: string;

  @Column('timestamptz', { name: 'created_at' })
  createdAt: Date;

  /** the batch that it was cut from; its log begins with the log of that one */
  @Column('uuid', { name: 'cut_from', nullable: true })
  cutFrom: string | null;

  /** up to and with that entry */
  @Column('int', { name: 'cut_after', nullable: true })
  cutAfter: number | null;
}

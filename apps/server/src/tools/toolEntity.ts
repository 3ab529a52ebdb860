import type { ToolSize } from '@bunkhouse/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A thermometer, hydrometer, scale or needle of the house. */
@Entity({ name: 'tool' })
export class ToolEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'tool_pkey' })
  id: string;

  @Column('text')
  name: string;

  /** its kind, and the size that matters of it */
  @Column('jsonb')
  size: ToolSize;

  @Column('boolean', { name: 'put_away' })
  putAway: boolean;

  @Column('text')
  by: string;

  @Column('timestamptz')
  at: Date;
}

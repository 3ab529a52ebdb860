import type { ToolReading } from '@bunkhouse/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A tool was held against ice, boiling or plain water. Rows are never changed nor removed: a trigger of the database sees to it. */
@Entity({ name: 'tool_check' })
export class ToolCheckEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'tool_check_pkey' })
  id: string;

  @Column('uuid', { name: 'tool_id' })
  toolId: string;

  @Column('jsonb')
  reading: ToolReading;

  @Column('text')
  by: string;

  @Column('timestamptz')
  at: Date;
}

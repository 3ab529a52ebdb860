import type { HousePlan } from '@bunkhouse/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** When the house works and what it has: one row. */
@Entity({ name: 'house_plan' })
export class HousePlanEntity {
  @PrimaryColumn('int', { primaryKeyConstraintName: 'house_plan_pkey' })
  id: number;

  @Column('jsonb')
  plan: HousePlan;

  @Column('text', { name: 'changed_by' })
  changedBy: string;

  @Column('timestamptz', { name: 'changed_at' })
  changedAt: Date;
}

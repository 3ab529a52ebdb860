import type { LotKind } from '@bunkhouse/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A delivery. What was taken from it stands in the logs of the batches. */
@Entity({ name: 'lot' })
export class LotEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'lot_pkey' })
  id: string;

  @Column('text')
  kind: LotKind;

  @Column('text')
  name: string;

  @Column('text')
  number: string;

  @Column('text')
  supplier: string;

  @Column('date', { name: 'received_on' })
  receivedOn: string;

  @Column('date', { name: 'best_before', nullable: true })
  bestBefore: string | null;

  @Column('double precision', { name: 'amount_g' })
  amountG: number;

  /** what all of it cost, in the house's money */
  @Column('double precision', { nullable: true })
  price: number | null;

  @Column('boolean', { name: 'put_away' })
  putAway: boolean;

  @Column('text')
  by: string;

  @Column('timestamptz')
  at: Date;
}

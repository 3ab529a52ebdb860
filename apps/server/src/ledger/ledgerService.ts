import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { BatchResponse, LedgerRow } from '@bunkhouse/api';
import { replay, sum, type BatchState } from '@bunkhouse/core';
import type { DataSource, EntityManager } from 'typeorm';
import { LedgerLineEntity } from './ledgerLineEntity.js';

/** Batches that are packed or thrown away. */
@Injectable()
export class LedgerService {
  constructor(@InjectDataSource() private readonly dataSource: DataSource) {}

  /** Ended batches, the last first. */
  async rows(): Promise<LedgerRow[]> {
    const lines = await this.dataSource.getRepository(LedgerLineEntity).find({ order: { endedAt: 'DESC' }, take: 500 });
    return lines.map((line) => line.row);
  }

  /** Brings a batch's line up to its log: there when it has ended, gone when it lives again. */
  async rebuild(manager: EntityManager, batch: BatchResponse, now: number): Promise<void> {
    const state = replay(batch, now);
    const lines = manager.getRepository(LedgerLineEntity);
    if (state.outcome === 'live' || state.endedAt === null) {
      await lines.delete({ batchId: batch.id });
      return;
    }
    await lines.save({ batchId: batch.id, endedAt: new Date(state.endedAt), row: ledgerRow(batch, state, state.endedAt, state.outcome) });
  }
}

function ledgerRow(batch: BatchResponse, state: BatchState, endedAt: number, outcome: LedgerRow['outcome']): LedgerRow {
  const { facts, figures } = state;
  const pumped = figures.pump.filter((piece) => piece.weighed).map((piece) => piece.percent.value);
  return {
    id: batch.id,
    code: batch.code,
    name: batch.process.name,
    startedAt: state.standing[0]?.at ?? batch.design.startsAt,
    endedAt: new Date(endedAt).toISOString(),
    outcome,
    greenG: sum(facts.keptGreenG),
    packedG: facts.packedG,
    yieldPercent: figures.yield?.value ?? null,
    nitritePpm: figures.nitrite.applies.value,
    pumpPercent: pumped.length === 0 ? null : pumped.reduce((a, b) => a + b, 0) / pumped.length,
    by: batch.createdBy,
  };
}

import { Injectable, NotFoundException } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { LotBatch, LotRequest, LotResponse } from '@bunkhouse/api';
import { replay, type EntryDraft } from '@bunkhouse/core';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { BatchEntity } from '../batches/batchEntity.js';
import { BatchesService } from '../batches/batchesService.js';
import { Clock } from '../clock.js';
import { refused } from '../errors/refusals.js';
import { LotEntity } from './lotEntity.js';
import { serverSays } from '@bunkhouse/api';

/** What stands of the takings: those that were taken back are none. */
const TAKINGS = `SELECT taken.batch_id, taken.seq, taken.at, taken.body FROM log_entry taken
  WHERE taken.kind = 'lot' AND NOT EXISTS (SELECT 1 FROM log_entry back WHERE back.batch_id = taken.batch_id AND back.kind = 'withdrawn' AND back.body->>'replaces' = taken.id::text)`;

/** What each lot has given, and how many batches hold it: by the same rule as below, with the numbers alone. */
const SUMS = `WITH RECURSIVE taking AS MATERIALIZED (
    SELECT batch_id, seq, (body->'draw'->>'lot')::uuid AS lot, (body->'draw'->>'g')::float8 AS g FROM (${TAKINGS}) AS own
  ), held AS (
    SELECT batch_id, lot, min(seq) AS seq FROM taking GROUP BY batch_id, lot
    UNION
    SELECT part.id, held.lot, held.seq FROM held JOIN batch part ON part.cut_from = held.batch_id AND part.cut_after >= held.seq
  )
  SELECT lot, g, batches FROM (SELECT lot, sum(g) AS g FROM taking GROUP BY lot) AS sums
  JOIN (SELECT lot, count(DISTINCT batch_id) AS batches FROM held GROUP BY lot) AS holding USING (lot)`;

/** Entries are never changed: while there are as many takings, withdrawals and cuts, the sums are the same. */
const STATE = `SELECT (SELECT count(*) FROM log_entry WHERE kind = 'lot') || ' ' || (SELECT count(*) FROM log_entry WHERE kind = 'withdrawn') || ' ' ||
  (SELECT count(*) FROM batch WHERE cut_from IS NOT NULL) AS state`;

interface Sum {
  lot: string;
  g: number;
  batches: string;
}

/** A batch holds a lot that was taken for it, or for what it was cut from before the cut. */
const HELD = `WITH RECURSIVE held AS (
    SELECT batch_id, seq, at, body FROM (${TAKINGS}) AS taking
    UNION
    SELECT part.id, held.seq, held.at, held.body FROM held JOIN batch part ON part.cut_from = held.batch_id AND part.cut_after >= held.seq
  )`;

/** Deliveries, what is left of them, and which batches hold them. */
@Injectable()
export class LotsService {
  private known: { state: string; sums: Sum[] } | null = null;

  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly clock: Clock,
  ) {}

  async all(): Promise<LotResponse[]> {
    const [lots, taken] = await Promise.all([
      this.dataSource.getRepository(LotEntity).find({ order: { kind: 'ASC', receivedOn: 'DESC', id: 'ASC' } }),
      this.sums(),
    ]);
    const byLot = new Map(taken.map((row) => [row.lot, row]));
    return lots.map(({ at, ...lot }) => ({
      ...lot,
      takenG: byLot.get(lot.id)?.g ?? 0,
      batches: Number(byLot.get(lot.id)?.batches ?? 0),
      at: at.toISOString(),
    }));
  }

  private async sums(): Promise<Sum[]> {
    const [row] = await this.dataSource.query<{ state: string }[]>(STATE);
    const state = row?.state ?? '';
    if (this.known?.state === state) return this.known.sums;
    const sums = await this.dataSource.query<Sum[]>(SUMS);
    this.known = { state, sums };
    return sums;
  }

  /** Keeps a lot, or changes it. What kind it is cannot change once something was taken from it. */
  async keep({ bestBefore, price, ...lot }: LotRequest): Promise<LotResponse[]> {
    const lots = this.dataSource.getRepository(LotEntity);
    const before = await lots.findOneBy({ id: lot.id });
    const own = (await this.all()).find(({ id }) => id === lot.id);
    if (before !== null && before.kind !== lot.kind && (own?.batches ?? 0) > 0)
      throw refused([{ field: 'kind', ...serverSays('lot-taken-as', { was: before.kind, kind: lot.kind }) }]);
    await lots.save({
      ...lot,
      by: lot.by.trim(),
      name: lot.name.trim(),
      number: lot.number.trim(),
      supplier: lot.supplier.trim(),
      bestBefore: bestBefore ?? null,
      price: price ?? null,
      at: new Date(this.clock.now()),
    });
    return this.all();
  }

  /** Which batches hold a lot: for a recall. Parts that were cut off after it was taken are among them. */
  async holders(id: string): Promise<LotBatch[]> {
    if (!(await this.dataSource.getRepository(LotEntity).existsBy({ id }))) throw new NotFoundException(serverSays('lot-not-here'));
    const rows = await this.dataSource.query<{ batch_id: string; at: Date; g: number; by: string }[]>(
      `${HELD} SELECT batch_id, min(at) AS at, sum((body->'draw'->>'g')::float8) AS g, min(body->>'by') AS by FROM held WHERE body->'draw'->>'lot' = $1 GROUP BY batch_id ORDER BY min(at) DESC`,
      [id],
    );
    const found = await this.dataSource.getRepository(BatchEntity).find({ where: { id: In(rows.map((row) => row.batch_id)) } });
    const whole = new Map((await this.batches.withLogs(this.dataSource.manager, found)).map((batch) => [batch.id, batch]));
    return rows.flatMap((row): LotBatch[] => {
      const batch = whole.get(row.batch_id);
      if (batch === undefined) return [];
      return [
        {
          id: batch.id,
          code: batch.code,
          name: batch.process.name,
          outcome: replay(batch, this.clock.now()).outcome,
          g: row.g,
          at: row.at.toISOString(),
          by: row.by,
        },
      ];
    });
  }

  /** A taking is of a lot that is there, of its kind; one that is too old, or more than is left, needs a reason. */
  async check(manager: EntityManager, draft: EntryDraft): Promise<void> {
    if (draft.kind !== 'lot') return;
    const lot = await manager.getRepository(LotEntity).findOneBy({ id: draft.draw.lot });
    if (lot === null) throw refused([{ field: 'draw.lot', ...serverSays('lot-not-here') }]);
    if (lot.kind !== draft.draw.of)
      throw refused([{ field: 'draw.lot', ...serverSays('lot-other-kind', { name: lot.name, kind: lot.kind, asked: draft.draw.of }) }]);
    if ((draft.reason ?? '').trim().length >= 8) return;
    const day = new Date(draft.at).toISOString().slice(0, 10);
    if (lot.bestBefore !== null && lot.bestBefore < day)
      throw refused([{ field: 'reason', ...serverSays('lot-past-date', { name: lot.name, day: lot.bestBefore }) }]);
    const [row] = await manager.query<{ g: number | null }[]>(
      `SELECT sum((body->'draw'->>'g')::float8) AS g FROM (${TAKINGS} AND taken.body->'draw'->>'lot' = $1) AS t`,
      [lot.id],
    );
    const leftG = lot.amountG - (row?.g ?? 0);
    if (draft.draw.g > leftG + 0.5) throw refused([{ field: 'reason', ...serverSays('lot-runs-out', { leftG: Math.max(0, leftG), name: lot.name }) }]);
  }
}

import { isDeepStrictEqual } from 'node:util';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { BatchRequest, BatchResponse, FamilyMember, LogEntryRequest } from '@bunkhouse/api';
import { serverSays, datesFault, toDesign } from '@bunkhouse/api';
import {
  attempt,
  type BatchDesign,
  designOf,
  designStops,
  isParting,
  type LogEntry,
  MIX_STEPS,
  type PartingEvent,
  type Process,
  replay,
  sum,
  usualWaterG,
  withWater,
} from '@bunkhouse/core';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { Clock } from '../clock.js';
import { noSuchBatch, overtaken, refused } from '../errors/refusals.js';
import { RecipesService } from '../recipes/recipesService.js';
import { BatchEntity } from './batchEntity.js';
import { withSharedLog } from './sharedLog.js';

/** Starts batches and reads them with their logs. */
@Injectable()
export class BatchesService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly clock: Clock,
    private readonly recipes: RecipesService,
  ) {}

  /** Batches that are neither packed nor thrown away, oldest first. */
  async live(): Promise<BatchResponse[]> {
    const batches = await this.dataSource
      .getRepository(BatchEntity)
      .createQueryBuilder('batch')
      .where('NOT EXISTS (SELECT 1 FROM ledger_line line WHERE line.batch_id = batch.id)')
      .orderBy('batch.created_at')
      .addOrderBy('batch.code')
      .getMany();
    return this.withLogs(this.dataSource.manager, batches);
  }

  /** Batches that were packed or thrown away since an instant. */
  async endedSince(since: Date): Promise<BatchResponse[]> {
    const batches = await this.dataSource
      .getRepository(BatchEntity)
      .createQueryBuilder('batch')
      .where('EXISTS (SELECT 1 FROM ledger_line line WHERE line.batch_id = batch.id AND line.ended_at >= :since)', { since })
      .orderBy('batch.created_at')
      .addOrderBy('batch.code')
      .getMany();
    return this.withLogs(this.dataSource.manager, batches);
  }

  async one(id: string): Promise<BatchResponse> {
    const batch = await this.dataSource.getRepository(BatchEntity).findOneBy({ id });
    if (batch === null) throw noSuchBatch();
    const [whole] = await this.withLogs(this.dataSource.manager, [batch]);
    if (whole === undefined) throw noSuchBatch();
    return whole;
  }

  /**
   * Starts a batch. The same id twice makes one batch.
   *
   * @param createdAt ms; now, but for records taken over from elsewhere
   */
  async start(request: BatchRequest, createdAt = this.clock.now()): Promise<BatchResponse> {
    const late = datesFault(request, createdAt);
    if (late !== null) throw refused([{ field: 'startsAt', ...late }]);
    const process = await this.recipes.processOf(request);
    const asked = attempt(() => toDesign(request));
    if ('fault' in asked) throw refused([asked.fault]);
    const design = asked.value;
    const stops = designStops(process, design);
    if (stops.length > 0) throw refused(stops.map(({ code, args, message }) => ({ field: 'nitritePpm', code, args, message })));
    await this.dataSource.transaction(async (manager) => {
      if (await manager.getRepository(BatchEntity).existsBy({ id: request.id })) return;
      const code = await this.nextCode(manager, process.prefix);
      await manager
        .createQueryBuilder()
        .insert()
        .into(BatchEntity)
        .values(Object.assign(new BatchEntity(), { id: request.id, code, design, process, createdBy: request.by.trim(), createdAt: new Date(createdAt) }))
        .orIgnore()
        .execute();
    });
    const batch = await this.one(request.id);
    if (!isDeepStrictEqual(batch.design, design)) throw overtaken([{ field: 'id', ...serverSays('batch-was-started', { batch: batch.code }) }]);
    return batch;
  }

  async withLogs(manager: EntityManager, batches: BatchEntity[]): Promise<BatchResponse[]> {
    const whole = await this.withAncestors(manager, batches);
    // Gathered by the database: a log at once is read in a third of the time that its rows take one by one.
    const logs = await manager.query<{ batch_id: string; entries: LogEntry[] }[]>(
      `SELECT batch_id, json_agg(body ORDER BY seq) AS entries FROM log_entry WHERE batch_id = ANY($1) GROUP BY batch_id`,
      [whole.map(({ id }) => id)],
    );
    const entriesOf = new Map(logs.map((log) => [log.batch_id, log.entries]));
    const known = new Map(whole.map((batch) => [batch.id, { batch, entries: entriesOf.get(batch.id) ?? [] }]));
    return batches.map(({ id }) => withSharedLog(id, known));
  }

  /** Every batch that was cut from the same one as this, and the first of them, in order of their start. */
  async family(id: string): Promise<FamilyMember[]> {
    const manager = this.dataSource.manager;
    const rows = await manager.query<{ id: string }[]>(
      `WITH RECURSIVE up AS (SELECT id, cut_from FROM batch WHERE id = $1 UNION SELECT b.id, b.cut_from FROM batch b JOIN up ON b.id = up.cut_from),
       down AS (SELECT id FROM up WHERE cut_from IS NULL UNION SELECT b.id FROM batch b JOIN down ON b.cut_from = down.id)
       SELECT id FROM down`,
      [id],
    );
    if (rows.length === 0) throw noSuchBatch();
    const batches = await manager.getRepository(BatchEntity).find({ where: { id: In(rows.map((row) => row.id)) }, order: { createdAt: 'ASC', code: 'ASC' } });
    const now = this.clock.now();
    return (await this.withLogs(manager, batches)).map((batch) => {
      const { facts, outcome } = replay(batch, now);
      return {
        id: batch.id,
        code: batch.code,
        name: batch.process.name,
        from: batch.origin?.batchId ?? null,
        greenG: sum(facts.keptGreenG),
        packedG: facts.packedG,
        outcome,
      };
    });
  }

  /**
   * The other part of a cut as a batch of its own, whose log begins with that of the whole up to the cut.
   *
   * @param after the entry that tells of the cut
   */
  async cutOff(manager: EntityManager, whole: BatchResponse, after: LogEntry, request: LogEntryRequest): Promise<void> {
    if (after.kind !== 'pieces' || !isParting(after.event)) return;
    const process = request.recipe === undefined ? whole.process : await this.recipes.version(request.recipe);
    const state = replay(whole, Date.parse(after.at));
    const { stepAt: _stepAt, stores: _stores, readyBy: _readyBy, program: _program, ...design } = whole.design;
    const met = Object.values(MIX_STEPS).some((id) => state.closing(id) !== null);
    const part = met ? design : beforeTheBrine(design, process, goesG(after.event, state.firstGreenG));
    const own: BatchDesign = {
      ...part,
      product: process.product,
      ...(request.recipe === undefined ? (whole.design.program === undefined ? {} : { program: whole.design.program }) : {}),
    };
    const parts = await manager.getRepository(BatchEntity).countBy({ cutFrom: whole.id });
    const record = { id: after.event.to, code: `${whole.code}${PART_LETTERS[parts] ?? `-${parts + 2}`}`, design: own, process };
    const origin = { batchId: whole.id, code: whole.code, sharedEntries: after.seq, line: [whole.id, ...(whole.origin?.line ?? [])] };
    const stops = replay({ ...record, origin, entries: [...whole.entries, after] }, Date.parse(after.at)).findings.filter(({ level }) => level === 'stop');
    if (stops.length > 0) throw refused(stops.map(({ message }) => ({ field: 'recipe', message })));
    if (await manager.getRepository(BatchEntity).existsBy({ id: record.id })) throw overtaken([{ field: 'event.to', ...serverSays('part-is-batch') }]);
    await manager.getRepository(BatchEntity).insert({
      ...record,
      createdBy: after.by,
      createdAt: new Date(after.recordedAt),
      cutFrom: whole.id,
      cutAfter: after.seq,
    });
  }

  /** Whatever was cut from a batch, and from that. */
  async cutFrom(manager: EntityManager, id: string): Promise<BatchResponse[]> {
    const rows = await manager.query<{ id: string }[]>(
      `WITH RECURSIVE down AS (SELECT id FROM batch WHERE cut_from = $1 UNION SELECT b.id FROM batch b JOIN down ON b.cut_from = down.id) SELECT id FROM down`,
      [id],
    );
    if (rows.length === 0) return [];
    return this.withLogs(manager, await manager.getRepository(BatchEntity).find({ where: { id: In(rows.map((row) => row.id)) } }));
  }

  private async withAncestors(manager: EntityManager, batches: BatchEntity[]): Promise<BatchEntity[]> {
    const known = new Map(batches.map((batch) => [batch.id, batch]));
    for (;;) {
      const missing = [...known.values()].flatMap(({ cutFrom }) => (cutFrom === null || known.has(cutFrom) ? [] : [cutFrom]));
      if (missing.length === 0) return [...known.values()];
      for (const batch of await manager.getRepository(BatchEntity).find({ where: { id: In(missing) } })) known.set(batch.id, batch);
    }
  }

  private async nextCode(manager: EntityManager, prefix: string): Promise<string> {
    const [row] = await manager.query<{ n: string }[]>(`SELECT nextval('batch_number') AS n`);
    return `${prefix}-${(row?.n ?? '0').padStart(3, '0')}`;
  }
}

/** A part is called like the whole, with a letter. */
const PART_LETTERS = 'bcdefghijklmnopqrstuvwxyz';

/** What goes with a part, g green. */
function goesG(event: PartingEvent, firstGreenG: Readonly<Record<string, number>>): number {
  if (event.act === 'parted') return event.pieces.reduce((g, code) => g + (firstGreenG[code] ?? 0), 0);
  return ((firstGreenG[event.piece] ?? 0) * event.goesG) / (event.staysG + event.goesG);
}

/** A part that was cut before any brine was mixed begins anew: its recipe’s cure, strength and water for its weight. */
function beforeTheBrine(design: BatchDesign, process: Process, greenG: number): BatchDesign {
  const { school, saltPercent, sugarPercent, nitritePpm, cure, cureDays } = designOf(process, design.startsAt);
  return { ...design, school: withWater(school, usualWaterG(process, greenG)), saltPercent, sugarPercent, nitritePpm, cure, cureDays };
}

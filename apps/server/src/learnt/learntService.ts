import { setImmediate } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { BatchResponse, LearntResponse, LeaveOutRequest } from '@bunkhouse/api';
import { attempt, calibrate, depthAt, observations, tasteTarget, type LogEntry, type Product } from '@bunkhouse/core';
import { In, type DataSource } from 'typeorm';
import { BatchesService } from '../batches/batchesService.js';
import { BatchEntity } from '../batches/batchEntity.js';
import { Clock } from '../clock.js';
import { refused } from '../errors/refusals.js';
import { LeftOutEntity } from './leftOutEntity.js';
import { serverSays } from '@bunkhouse/api';

/** So many batches back the house looks: its newest meat and its newest taste. */
const BATCHES = 40;

/** Kinds of entry that say nothing of the cure or the taste; of what hands did beside the plan only a verdict at table does. */
const SILENT: ReadonlySet<LogEntry['kind']> = new Set(['note', 'lot', 'pit']);
const isSilent = (entry: LogEntry): boolean => SILENT.has(entry.kind) || (entry.kind === 'act' && entry.event.act !== 'table');
const IS_SILENT = `own.kind IN ('note', 'lot', 'pit') OR (own.kind = 'act' AND own.body->'event'->>'act' <> 'table')`;

/** What a batch tells, with the number of entries that it is told from. */
interface Told {
  entries: number;
  of: { batchId: string; code: string; name: string; product: Product };
  observed: ReturnType<typeof observations>;
}

/** What the house learns from the logs of its batches. Nothing of it is stored but what is left out. */
@Injectable()
export class LearntService {
  /** by batch; a log only grows, so its length says whether it is still the same */
  private readonly known = new Map<string, Told>();

  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly clock: Clock,
  ) {}

  async learnt(): Promise<LearntResponse> {
    const leftOut = new Set((await this.dataSource.getRepository(LeftOutEntity).find()).map(({ id }) => id));
    const told = await this.told();
    const cutFaces = told.flatMap(({ of, observed }) => observed.cutFaces.map((face) => ({ ...face, ...of, leftOut: leftOut.has(face.id) })));
    const tasted = told.flatMap(({ of, observed }) => observed.tasted.map((slice) => ({ ...slice, ...of, leftOut: leftOut.has(slice.id) })));
    const diffusivity = calibrate(cutFaces.filter((face) => !face.leftOut));
    const { percent, spread, verdicts } = tasteTarget(tasted.filter((slice) => !slice.leftOut));
    const { implied } = tasteTarget(tasted);
    return {
      diffusivity,
      cutFaces: cutFaces.map(({ depths, ...face }) => ({ ...face, expectedMm: depthAt(depths, diffusivity.value) })),
      taste: { percent, spread, verdicts },
      atTable: told.flatMap(({ of, observed }) => observed.atTable.map((said) => ({ ...said, ...of }))).sort((a, b) => b.at.localeCompare(a.at)),
      tasted: tasted.map((slice, i) => ({ ...slice, impliedPercent: implied[i] ?? slice.edgePercent })),
    };
  }

  /** Leaves an observation out, or takes it back in. */
  async leaveOut({ id, leftOut, by }: LeaveOutRequest): Promise<LearntResponse> {
    const told = await this.told();
    if (!told.some(({ observed }) => [...observed.cutFaces, ...observed.tasted].some((one) => one.id === id)))
      throw refused([{ field: 'id', ...serverSays('no-such-observation') }]);
    const rows = this.dataSource.getRepository(LeftOutEntity);
    if (leftOut) await rows.upsert({ id, by: by.trim(), at: new Date(this.clock.now()) }, ['id']);
    else await rows.delete({ id });
    return this.learnt();
  }

  /** What each of the latest batches tells, the newest first. A log in which nothing new is said of the cure tells the same. */
  private async told(): Promise<Told[]> {
    const rows = await this.dataSource.manager.query<{ batch_id: string; entries: number | null }[]>(
      `SELECT latest.batch_id, CASE WHEN batch.cut_from IS NULL THEN (SELECT count(*)::int FROM log_entry own WHERE own.batch_id = latest.batch_id AND NOT (${IS_SILENT})) END AS entries
       FROM (SELECT batch_id, max(at) AS latest FROM log_entry WHERE kind = 'done' AND body->>'stepId' IN ('pull', 'fry', 'soak-out')
         GROUP BY batch_id ORDER BY latest DESC, batch_id LIMIT ${BATCHES}) AS latest
       JOIN batch ON batch.id = latest.batch_id ORDER BY latest.latest DESC, latest.batch_id`,
    );
    // The log of a part grows with that of the whole: it is read each time.
    const stale = rows.filter(({ batch_id, entries }) => entries === null || this.known.get(batch_id)?.entries !== entries).map((row) => row.batch_id);
    const found = stale.length === 0 ? [] : await this.dataSource.getRepository(BatchEntity).find({ where: { id: In(stale) } });
    for (const batch of await this.batches.withLogs(this.dataSource.manager, found)) await this.observe(batch);
    const ids = new Set(rows.map((row) => row.batch_id));
    for (const id of this.known.keys()) if (!ids.has(id)) this.known.delete(id);
    return rows.flatMap(({ batch_id }) => this.known.get(batch_id) ?? []);
  }

  /** Works out what a log tells; others are served between two batches. */
  private async observe(batch: BatchResponse): Promise<void> {
    const entries = batch.entries.filter((entry) => !isSilent(entry)).length;
    if (this.known.get(batch.id)?.entries === entries) return;
    await setImmediate();
    // A log that contradicts itself teaches nothing; what is wrong with it is said on its own page.
    const tried = attempt(() => observations(batch));
    const observed = 'value' in tried ? tried.value : { cutFaces: [], tasted: [], atTable: [] };
    this.known.set(batch.id, { entries, of: { batchId: batch.id, code: batch.code, name: batch.process.name, product: batch.process.product }, observed });
  }
}

import { setImmediate } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { BatchResponse, LearntResponse, LeaveOutRequest } from '@bunkhouse/api';
import { attempt, calibrate, depthAt, observations, tasteTarget } from '@bunkhouse/core';
import { In, type DataSource } from 'typeorm';
import { BatchesService } from '../batches/batchesService.js';
import { BatchEntity } from '../batches/batchEntity.js';
import { Clock } from '../clock.js';
import { refused } from '../errors/refusals.js';
import { LeftOutEntity } from './leftOutEntity.js';

/** So many batches back the house looks: its newest meat and its newest taste. */
const BATCHES = 40;

type Observed = ReturnType<typeof observations>;

/** What the house learns from the logs of its batches. Nothing of it is stored but what is left out. */
@Injectable()
export class LearntService {
  /** by batch; a log only grows, so its length says whether it is still the same */
  private readonly known = new Map<string, { entries: number; observed: Observed }>();

  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly clock: Clock,
  ) {}

  async learnt(): Promise<LearntResponse> {
    const leftOut = new Set((await this.dataSource.getRepository(LeftOutEntity).find()).map(({ id }) => id));
    const told = await this.told();
    const cutFaces = told.flatMap(({ batch, observed }) => observed.cutFaces.map((face) => ({ ...face, ...of(batch), leftOut: leftOut.has(face.id) })));
    const tasted = told.flatMap(({ batch, observed }) => observed.tasted.map((slice) => ({ ...slice, ...of(batch), leftOut: leftOut.has(slice.id) })));
    const diffusivity = calibrate(cutFaces.filter((face) => !face.leftOut));
    const { percent, spread, verdicts } = tasteTarget(tasted.filter((slice) => !slice.leftOut));
    const { implied } = tasteTarget(tasted);
    return {
      diffusivity,
      cutFaces: cutFaces.map(({ depths, ...face }) => ({ ...face, expectedMm: depthAt(depths, diffusivity.value) })),
      taste: { percent, spread, verdicts },
      tasted: tasted.map((slice, i) => ({ ...slice, impliedPercent: implied[i] ?? slice.edgePercent })),
    };
  }

  /** Leaves an observation out, or takes it back in. */
  async leaveOut({ id, leftOut, by }: LeaveOutRequest): Promise<LearntResponse> {
    const told = await this.told();
    if (!told.some(({ observed }) => [...observed.cutFaces, ...observed.tasted].some((one) => one.id === id)))
      throw refused([{ field: 'id', message: 'There is no such observation.' }]);
    const rows = this.dataSource.getRepository(LeftOutEntity);
    if (leftOut) await rows.upsert({ id, by: by.trim(), at: new Date(this.clock.now()) }, ['id']);
    else await rows.delete({ id });
    return this.learnt();
  }

  /** What each of the latest batches tells, the newest first. */
  private async told(): Promise<{ batch: BatchResponse; observed: Observed }[]> {
    const rows = await this.dataSource.manager.query<{ batch_id: string }[]>(
      `SELECT batch_id, max(at) AS latest FROM log_entry WHERE kind = 'done' AND body->>'stepId' IN ('pull', 'fry', 'soak-out')
       GROUP BY batch_id ORDER BY latest DESC, batch_id LIMIT ${BATCHES}`,
    );
    const ids = rows.map((row) => row.batch_id);
    const found = await this.dataSource.getRepository(BatchEntity).find({ where: { id: In(ids) } });
    const whole = await this.batches.withLogs(this.dataSource.manager, found);
    const byId = new Map(whole.map((batch) => [batch.id, batch]));
    const told: { batch: BatchResponse; observed: Observed }[] = [];
    for (const id of ids) {
      const batch = byId.get(id);
      if (batch === undefined) continue;
      told.push({ batch, observed: await this.observed(batch) });
    }
    for (const id of this.known.keys()) if (!byId.has(id)) this.known.delete(id);
    return told;
  }

  /** Worked out once for each state of a log; others are served between two batches. */
  private async observed(batch: BatchResponse): Promise<Observed> {
    const known = this.known.get(batch.id);
    if (known?.entries === batch.entries.length) return known.observed;
    await setImmediate();
    // A log that contradicts itself teaches nothing; what is wrong with it is said on its own page.
    const tried = attempt(() => observations(batch));
    const observed = 'value' in tried ? tried.value : { cutFaces: [], tasted: [] };
    this.known.set(batch.id, { entries: batch.entries.length, observed });
    return observed;
  }
}

const of = ({ id, code, process }: BatchResponse) => ({ batchId: id, code, name: process.name });

import { isDeepStrictEqual } from 'node:util';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { BatchRequest, BatchResponse } from '@bunkhouse/api';
import { datesFault, toDesign } from '@bunkhouse/api';
import { attempt, designStops } from '@bunkhouse/core';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { Clock } from '../clock.js';
import { noSuchBatch, overtaken, refused } from '../errors/refusals.js';
import { LogEntryEntity } from '../log/logEntryEntity.js';
import { RecipesService } from '../recipes/recipesService.js';
import { BatchEntity } from './batchEntity.js';

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
    if (late !== null) throw refused([{ field: 'startsAt', message: late }]);
    const process = await this.recipes.processOf(request);
    const asked = attempt(() => toDesign(request));
    if ('fault' in asked) throw refused([asked.fault]);
    const design = asked.value;
    const stops = designStops(process, design);
    if (stops.length > 0) throw refused(stops.map((stop) => ({ field: 'nitritePpm', message: stop.message })));
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
    if (!isDeepStrictEqual(batch.design, design))
      throw overtaken([{ field: 'id', message: `${batch.code} was already started from this form, with other values. Look at it on the rail.` }]);
    return batch;
  }

  async withLogs(manager: EntityManager, batches: BatchEntity[]): Promise<BatchResponse[]> {
    const entries = await manager.getRepository(LogEntryEntity).find({ where: { batchId: In(batches.map((batch) => batch.id)) }, order: { seq: 'ASC' } });
    const logs = new Map(batches.map((batch): [string, LogEntryEntity[]] => [batch.id, []]));
    for (const entry of entries) logs.get(entry.batchId)?.push(entry);
    return batches.map((batch) => ({
      id: batch.id,
      code: batch.code,
      design: batch.design,
      process: batch.process,
      createdBy: batch.createdBy,
      createdAt: batch.createdAt.toISOString(),
      entries: (logs.get(batch.id) ?? []).map((entry) => entry.body),
    }));
  }

  private async nextCode(manager: EntityManager, prefix: string): Promise<string> {
    const [row] = await manager.query<{ n: string }[]>(`SELECT nextval('batch_number') AS n`);
    return `${prefix}-${(row?.n ?? '0').padStart(3, '0')}`;
  }
}

import { Injectable, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { LEDGER_PAGE, type BatchResponse, type LedgerQuery, type LedgerResponse, type LedgerRow, type LedgerSort, type TrendPoint } from '@bunkhouse/api';
import { ledgerLine, materialsCost, replay } from '@bunkhouse/core';
import { In, type DataSource, type EntityManager, type SelectQueryBuilder } from 'typeorm';
import { BatchEntity } from '../batches/batchEntity.js';
import { BatchesService } from '../batches/batchesService.js';
import { Clock } from '../clock.js';
import { LotEntity } from '../lots/lotEntity.js';
import { LedgerLineEntity } from './ledgerLineEntity.js';

/** Read so many at a time where all of them are asked for. */
const CHUNK = 500;

/** Materials for each kilogram packed, where the meat has a price: what `materialsCost` of the core says, for the database to sort by. */
const COST_PER_KG = `(SELECT CASE WHEN bool_or(lot.kind = 'meat') AND NOT bool_or(lot.kind = 'meat' AND lot.price IS NULL)
    THEN sum((borne->>'g')::float8 * lot.price / lot.amount_g) * 1000 / NULLIF((line.row->>'packedG')::float8, 0) END
  FROM jsonb_array_elements(line.row->'borne') AS borne JOIN lot ON lot.id = (borne->>'lot')::uuid)`;

/** Lines that are sorted as numbers, not as words. */
const NUMBERS: readonly LedgerSort[] = ['greenG', 'packedG', 'yieldPercent', 'nitritePpm', 'pumpPercent', 'saltPercent', 'cureDays', 'deviations'];

/** Batches that are packed or thrown away. */
@Injectable()
export class LedgerService implements OnModuleInit {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly clock: Clock,
  ) {}

  /** Lines that an older version made say less: they are made again from their logs. */
  async onModuleInit(): Promise<void> {
    const { manager } = this.dataSource;
    for (;;) {
      const old = await manager.query<{ batch_id: string }[]>(`SELECT batch_id FROM ledger_line WHERE NOT (row ? 'borne') LIMIT ${CHUNK}`);
      if (old.length === 0) return;
      const found = await manager.getRepository(BatchEntity).find({ where: { id: In(old.map((row) => row.batch_id)) } });
      for (const batch of await this.batches.withLogs(manager, found)) await this.rebuild(manager, batch, this.clock.now());
    }
  }

  /** What was asked for: a page of it, and what all of it comes to. */
  async page(query: LedgerQuery): Promise<LedgerResponse> {
    const [lines, [all]] = await Promise.all([
      this.sorted(query)
        .offset(query.skip ?? 0)
        .limit(LEDGER_PAGE)
        .getMany(),
      this.asked(query)
        .select('count(*)', 'total')
        .addSelect(`coalesce(sum((line.row->>'greenG')::float8), 0)`, 'green')
        .addSelect(`coalesce(sum((line.row->>'packedG')::float8), 0)`, 'packed')
        .addSelect(`avg((line.row->>'yieldPercent')::float8)`, 'yield')
        .getRawMany<{ total: string; green: number; packed: number; yield: number | null }>(),
    ]);
    return {
      total: Number(all?.total ?? 0),
      greenG: all?.green ?? 0,
      packedG: all?.packed ?? 0,
      yieldPercent: all?.yield ?? null,
      rows: await this.priced(lines),
    };
  }

  /** Everything that was asked for, a part at a time. */
  async *rows(query: LedgerQuery): AsyncGenerator<LedgerRow[]> {
    for (let skip = 0; ; skip += CHUNK) {
      const lines = await this.sorted(query).offset(skip).limit(CHUNK).getMany();
      if (lines.length > 0) yield await this.priced(lines);
      if (lines.length < CHUNK) return;
    }
  }

  /** The points of the trends, oldest first. */
  async trends(query: LedgerQuery): Promise<TrendPoint[]> {
    const columns = ['id', 'code', 'product', 'endedAt', 'taste'].map((name) => `line.row->>'${name}' AS "${name}"`);
    const numbers = ['yieldPercent', 'saltPercent', 'cureDays', 'thicknessMm'].map((name) => `(line.row->>'${name}')::float8 AS "${name}"`);
    return this.asked(query)
      .select([...columns, ...numbers].join(', '))
      .orderBy('line.ended_at')
      .getRawMany<TrendPoint>();
  }

  /** Brings a batch's line up to its log: there when it has ended, gone when it lives again. */
  async rebuild(manager: EntityManager, batch: BatchResponse, now: number): Promise<void> {
    const row = ledgerLine(batch, replay(batch, now), batch.createdBy);
    const lines = manager.getRepository(LedgerLineEntity);
    if (row === null) await lines.delete({ batchId: batch.id });
    else await lines.save({ batchId: batch.id, endedAt: new Date(row.endedAt), row });
  }

  /** Lines with what their materials cost by the prices of today. */
  private async priced(lines: readonly LedgerLineEntity[]): Promise<LedgerRow[]> {
    const ids = new Set(lines.flatMap(({ row }) => row.borne.map(({ lot }) => lot)));
    const lots = ids.size === 0 ? [] : await this.dataSource.getRepository(LotEntity).find({ where: { id: In([...ids]) } });
    return lines.map(({ row }) => {
      const materials = row.packedG === null || row.packedG <= 0 ? null : materialsCost(row.borne, lots);
      return { ...row, costPerKg: materials === null || row.packedG === null ? null : (materials.cost / row.packedG) * 1000 };
    });
  }

  private sorted(query: LedgerQuery): SelectQueryBuilder<LedgerLineEntity> {
    const { sort = 'endedAt', order = 'down' } = query;
    const by =
      sort === 'costPerKg'
        ? COST_PER_KG
        : NUMBERS.includes(sort)
          ? `(line.row->>'${sort}')::float8`
          : sort === 'endedAt'
            ? 'line.ended_at'
            : `lower(line.row->>'${sort}')`;
    // The name of a column comes from a closed list, never from what was typed.
    return this.asked(query)
      .addSelect(by, 'sort_by')
      .orderBy('sort_by', order === 'up' ? 'ASC' : 'DESC', 'NULLS LAST')
      .addOrderBy('line.batch_id');
  }

  private asked({ find, product, outcome, taste, deviating, from, to }: LedgerQuery): SelectQueryBuilder<LedgerLineEntity> {
    const lines = this.dataSource.getRepository(LedgerLineEntity).createQueryBuilder('line');
    for (const word of (find ?? '').trim().toLowerCase().split(/\s+/).filter(Boolean).slice(0, 6).entries()) {
      const [i, text] = word;
      lines.andWhere(
        `lower(concat_ws(' ', line.row->>'code', line.row->>'name', line.row->>'taste', line.row->>'by', line.row->>'cutFrom', to_char(line.ended_at, 'DD Mon YYYY'))) LIKE :find${i}`,
        { [`find${i}`]: `%${text.replace(/[\\%_]/g, '\\$&')}%` },
      );
    }
    if (product !== undefined) lines.andWhere(`line.row->>'product' = :product`, { product });
    if (outcome !== undefined) lines.andWhere(`line.row->>'outcome' = :outcome`, { outcome });
    if (taste !== undefined) lines.andWhere(`line.row->>'taste' = :taste`, { taste });
    if (deviating !== undefined) lines.andWhere(`(line.row->>'deviations')::int > 0`);
    if (from !== undefined) lines.andWhere('line.ended_at >= :from', { from });
    if (to !== undefined) lines.andWhere('line.ended_at <= :to', { to });
    return lines;
  }
}

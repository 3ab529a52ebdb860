import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { BOOK_VERSION, type BookBatch, type BookPicture, type BookReadings } from '@bunkhouse/api';
import { pitLog, replay, type LogEntry, HOUR_MS } from '@bunkhouse/core';
import { In, MoreThan, type DataSource } from 'typeorm';
import { BatchEntity } from '../batches/batchEntity.js';
import { BatchesService } from '../batches/batchesService.js';
import { Clock } from '../clock.js';
import { noSuchBatch } from '../errors/refusals.js';
import { HouseEntity } from '../house/houseEntity.js';
import { HousePlanEntity } from '../house/housePlanEntity.js';
import { LeftOutEntity } from '../learnt/leftOutEntity.js';
import { LogEntryEntity } from '../log/logEntryEntity.js';
import { LotEntity } from '../lots/lotEntity.js';
import { DeviceEntity } from '../readings/deviceEntity.js';
import { readBlock } from '../readings/readingBlock.js';
import { PictureEntity } from '../pictures/pictureEntity.js';
import { PictureReadingEntity } from '../pictures/pictureReadingEntity.js';
import { RecipesService } from '../recipes/recipesService.js';

import { ToolsService } from '../tools/toolsService.js';

/** Read so many at a time: a book of any size needs no more memory. */
const BATCHES = 50;
const BLOCKS = 500;
/** Readings of a batch are those from so long before the fire until so long after the cold, ms. */
const AROUND_MS = { before: HOUR_MS, after: 36 * HOUR_MS };

interface BlockRow {
  device_id: string;
  channel: number;
  from_at: Date;
  samples: Buffer;
}

/** Writes books: the whole one, a batch with what it was cut from and its readings, a recipe. */
@Injectable()
export class BookExport {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly recipes: RecipesService,
    private readonly tools: ToolsService,
    private readonly clock: Clock,
  ) {}

  /** Everything, a part at a time. */
  async *whole(withReadings: boolean): AsyncGenerator<string> {
    const plan = await this.dataSource.getRepository(HousePlanEntity).findOneBy({ id: 1 });
    const devices = await this.dataSource.getRepository(DeviceEntity).find({ order: { createdAt: 'ASC', id: 'ASC' } });
    const lots = await this.dataSource.getRepository(LotEntity).find({ order: { at: 'ASC', id: 'ASC' } });
    const leftOut = await this.dataSource.getRepository(LeftOutEntity).find({ order: { id: 'ASC' } });
    yield await this.head({
      plan: plan?.plan ?? null,
      recipes: await this.recipes.all(),
      devices: devices.map(deviceOf),
      lots: lots.map(lotOf),
      tools: await this.tools.all(),
      leftOut,
    });
    yield* part('batches', this.everyBatch());
    yield* part('pictures', this.everyPicture());
    if (withReadings) yield* part('readings', this.everyReading());
    yield '}\n';
  }

  /** One batch, whatever it was cut from, the recipe that it was made by, and what its thermometers read. */
  async *batch(id: string): AsyncGenerator<string> {
    const { origin, process } = await this.batches.one(id);
    const ids = [...(origin?.line ?? []), id];
    const rows = await this.dataSource.getRepository(BatchEntity).find({ where: { id: In(ids) }, order: { createdAt: 'ASC', id: 'ASC' } });
    if (rows.length === 0) throw noSuchBatch();
    const whole = await this.batches.one(id);
    const log = pitLog(replay(whole, this.clock.now()), whole.process);
    const probes = [...new Map(log.hung.flatMap(({ probes: hung }) => hung).map((probe) => [`${probe.device}:${probe.channel}`, probe])).values()];
    const devices = await this.dataSource.getRepository(DeviceEntity).find({ where: { id: In(probes.map(({ device }) => device)) } });
    const recipes = (await this.recipes.all()).filter((recipe) => recipe.id === process.recipe?.id);
    const taken = whole.entries.flatMap((entry) => (entry.kind === 'lot' ? [entry.draw.lot] : []));
    const lots = await this.dataSource.getRepository(LotEntity).find({ where: { id: In(taken) }, order: { at: 'ASC', id: 'ASC' } });
    const read = new Set(whole.entries.flatMap((entry) => ('read' in entry && entry.read !== undefined ? [entry.read.tool] : [])));
    const hung = new Set(probes.map(({ device, channel }) => `${device}:${channel}`));
    const tools = (await this.tools.all()).filter(
      ({ id: own, size }) => read.has(own) || (size.kind === 'thermometer' && hung.has(`${size.device}:${size.channel}`)),
    );
    yield await this.head({ recipes, devices: devices.map(deviceOf), lots: lots.map(lotOf), tools, leftOut: [] });
    yield* part('batches', one(await this.own(rows)));
    yield* part('pictures', this.everyPicture(ids));
    if (log.onAt !== null) {
      const from = new Date(log.onAt - AROUND_MS.before);
      const to = new Date((log.coldAt ?? log.offAt ?? this.clock.now()) + AROUND_MS.after);
      yield* part('readings', this.readingsOf(probes, from, to));
    }
    yield '}\n';
  }

  async *recipe(id: string): AsyncGenerator<string> {
    yield await this.head({ recipes: (await this.recipes.all()).filter((recipe) => recipe.id === id), devices: [], lots: [], tools: [], leftOut: [] });
    yield ',"batches":[],"pictures":[]}\n';
  }

  private async head(own: object): Promise<string> {
    const house = await this.dataSource.getRepository(HouseEntity).findOneBy({ id: 1 });
    const head = { format: 'bunkhouse-book', version: BOOK_VERSION, exportedAt: new Date(this.clock.now()).toISOString(), house: house?.name ?? '', ...own };
    return JSON.stringify(head).slice(0, -1);
  }

  private async *everyBatch(): AsyncGenerator<BookBatch[]> {
    let after: { createdAt: Date; id: string } | null = null;
    for (;;) {
      const query = this.dataSource.getRepository(BatchEntity).createQueryBuilder('batch').orderBy('batch.created_at').addOrderBy('batch.id').limit(BATCHES);
      if (after !== null) query.where('(batch.created_at, batch.id) > (:createdAt, :id)', after);
      const rows: BatchEntity[] = await query.getMany();
      const last = rows.at(-1);
      if (last === undefined) return;
      yield await this.own(rows);
      after = { createdAt: last.createdAt, id: last.id };
    }
  }

  /** Batches with what is their own of their logs. */
  private async own(rows: readonly BatchEntity[]): Promise<BookBatch[]> {
    const entries = await this.dataSource
      .getRepository(LogEntryEntity)
      .find({ where: { batchId: In(rows.map(({ id }) => id)), seq: MoreThan(0) }, order: { batchId: 'ASC', seq: 'ASC' } });
    const logs = new Map<string, LogEntry[]>();
    for (const { batchId, body } of entries) logs.set(batchId, [...(logs.get(batchId) ?? []), body]);
    return rows.map(({ id, code, createdBy, createdAt, design, process, cutFrom, cutAfter }) => ({
      id,
      code,
      createdBy,
      createdAt: createdAt.toISOString(),
      design,
      process,
      ...(cutFrom === null || cutAfter === null ? {} : { cutFrom, cutAfter }),
      entries: logs.get(id) ?? [],
    }));
  }

  /** A picture at a time: each is as large as a batch's whole log. */
  private async *everyPicture(batches?: readonly string[]): AsyncGenerator<BookPicture[]> {
    const pictures = this.dataSource.getRepository(PictureEntity);
    const where = batches === undefined ? {} : { batchId: In([...batches]) };
    const readings = this.dataSource.getRepository(PictureReadingEntity);
    for (const { id } of await pictures.find({ select: { id: true, at: true }, where, order: { at: 'ASC', id: 'ASC' } })) {
      const row = await pictures.createQueryBuilder('picture').addSelect('picture.jpeg').where({ id }).getOneOrFail();
      const read = await readings.find({ where: { pictureId: id }, order: { at: 'ASC', id: 'ASC' } });
      yield [
        {
          id,
          batch: row.batchId,
          piece: row.piece,
          by: row.by,
          at: row.at.toISOString(),
          jpeg: row.jpeg.toString('base64'),
          readings: read.map(({ id: own, marks, shares, by, at }) => ({ id: own, marks, shares, by, at: at.toISOString() })),
        },
      ];
    }
  }

  private async *everyReading(): AsyncGenerator<BookReadings[]> {
    let after: [string, number, Date] | null = null;
    for (;;) {
      const rows: BlockRow[] = await this.dataSource.query(
        `SELECT device_id, channel, from_at, samples FROM reading_block
         ${after === null ? '' : 'WHERE (device_id, channel, from_at) > ($1::uuid, $2::smallint, $3::timestamptz)'}
         ORDER BY device_id, channel, from_at LIMIT ${BLOCKS}`,
        after ?? [],
      );
      const last = rows.at(-1);
      if (last === undefined) return;
      yield rows.map(readingsOf);
      after = [last.device_id, last.channel, last.from_at];
    }
  }

  private async *readingsOf(probes: readonly { device: string; channel: number }[], from: Date, to: Date): AsyncGenerator<BookReadings[]> {
    for (const { device, channel } of probes) {
      const rows: BlockRow[] = await this.dataSource.query(
        `SELECT device_id, channel, from_at, samples FROM reading_block WHERE device_id = $1 AND channel = $2 AND from_at BETWEEN $3 AND $4 ORDER BY from_at`,
        [device, channel, from, to],
      );
      yield rows.map(readingsOf);
    }
  }
}

const deviceOf = ({ id, name, kind, channels, store, simulated, createdBy, createdAt }: DeviceEntity) => ({
  id,
  name,
  kind,
  channels,
  store,
  simulated,
  createdBy,
  createdAt: createdAt.toISOString(),
});

const lotOf = ({ at, ...lot }: LotEntity) => ({ ...lot, at: at.toISOString() });

function readingsOf({ device_id: device, channel, from_at: from, samples }: BlockRow): BookReadings {
  const read = readBlock(from.getTime(), samples);
  return { device, channel, from: from.toISOString(), s: read.map(({ at }) => (at - from.getTime()) / 1000), C: read.map(({ C }) => C) };
}

async function* one<T>(list: T[]): AsyncGenerator<T[]> {
  yield await Promise.resolve(list);
}

/** A list of a document, a part at a time. */
async function* part(name: string, parts: AsyncIterable<unknown[]>): AsyncGenerator<string> {
  yield `,"${name}":[`;
  let isFirst = true;
  for await (const items of parts) {
    if (items.length === 0) continue;
    yield `${isFirst ? '' : ','}${JSON.stringify(items).slice(1, -1)}`;
    isFirst = false;
  }
  yield ']';
}

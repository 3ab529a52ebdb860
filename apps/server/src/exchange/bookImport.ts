import { isDeepStrictEqual } from 'node:util';
import { HttpException, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Book, BookBatch, BookFate, ImportResponse } from '@bunkhouse/api';
import type { LogEntry, Message } from '@bunkhouse/core';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { BatchEntity } from '../batches/batchEntity.js';
import { BatchesService } from '../batches/batchesService.js';
import { Clock } from '../clock.js';
import { HouseEntity } from '../house/houseEntity.js';
import { HousePlanEntity } from '../house/housePlanEntity.js';
import { LeftOutEntity } from '../learnt/leftOutEntity.js';
import { LedgerService } from '../ledger/ledgerService.js';
import { LogEntryEntity } from '../log/logEntryEntity.js';
import { LotEntity } from '../lots/lotEntity.js';
import { DeviceEntity } from '../readings/deviceEntity.js';
import { mergeBlock } from '../readings/readingBlock.js';
import { Darkroom, LONG_SIDE } from '../pictures/darkroom.js';
import { PictureEntity } from '../pictures/pictureEntity.js';
import { PictureReadingEntity } from '../pictures/pictureReadingEntity.js';
import { ToolCheckEntity } from '../tools/toolCheckEntity.js';
import { ToolEntity } from '../tools/toolEntity.js';
import { RecipeEntity } from '../recipes/recipeEntity.js';
import { RecipeVersionEntity } from '../recipes/recipeVersionEntity.js';
import { refused } from '../errors/refusals.js';
import { serverSays } from '@bunkhouse/api';

const ROWS = 500;

interface Plan {
  response: ImportResponse;
  /** batches that are written, each with its code here and the entries that are not here yet */
  batches: { batch: BookBatch; code: string; isNew: boolean; entries: LogEntry[] }[];
  recipes: { id: string; putAway: boolean; isNew: boolean; versions: Book['recipes'][number]['versions'] }[];
}

/** Takes a book into this house: all of it or nothing. What is here already is never changed; a log may grow. */
@Injectable()
export class BookImport {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly ledger: LedgerService,
    private readonly darkroom: Darkroom,
    private readonly clock: Clock,
  ) {}

  async preview(book: Book): Promise<ImportResponse> {
    return (await this.plan(this.dataSource.manager, book)).response;
  }

  async write(book: Book): Promise<ImportResponse> {
    const pictures = await this.opened(book);
    return this.dataSource.transaction(async (manager) => {
      // Two imports at once would give one code twice.
      await manager.query('LOCK TABLE batch IN SHARE ROW EXCLUSIVE MODE');
      const plan = await this.plan(manager, book);
      await this.writeHouse(manager, book);
      await this.writeRecipes(manager, plan);
      await this.writeDevices(manager, book);
      for (const lots of chunks(book.lots)) {
        const rows = lots.map(({ at, bestBefore = null, price = null, ...lot }) =>
          Object.assign(new LotEntity(), { ...lot, bestBefore, price, at: new Date(at) }),
        );
        await manager.createQueryBuilder().insert().into(LotEntity).values(rows).orIgnore().execute();
      }
      await writeTools(manager, book);
      await this.writeBatches(manager, plan);
      await writePictures(manager, pictures);
      const readings = await writeReadings(manager, book);
      const leftOut = book.leftOut.map(({ id, by, at }) => ({ id, by, at: new Date(at) }));
      for (const rows of chunks(leftOut)) await manager.createQueryBuilder().insert().into(LeftOutEntity).values(rows).orIgnore().execute();
      return { ...plan.response, written: true, readings };
    });
  }

  /** Every picture of it that is not here yet, once it was seen to open: before anything is written. */
  private async opened(book: Book): Promise<PictureRow[]> {
    const rows: PictureRow[] = [];
    const here = new Set(
      (await this.dataSource.getRepository(PictureEntity).find({ select: { id: true }, where: { id: In(book.pictures.map(({ id }) => id)) } })).map(
        ({ id }) => id,
      ),
    );
    for (const [i, { id, batch, piece, by, at, jpeg: base64, readings }] of book.pictures.entries()) {
      if (here.has(id)) continue;
      const jpeg = Buffer.from(base64, 'base64');
      try {
        const { width, height } = await this.darkroom.open(jpeg);
        if (Math.max(width, height) > LONG_SIDE) throw refused([{ field: 'jpeg', ...serverSays('picture-too-long', { most: LONG_SIDE }) }]);
        rows.push({ row: { id, batchId: batch, piece, width, height, jpeg, by, at: new Date(at) }, readings });
      } catch (error) {
        const what = error instanceof HttpException ? (error.getResponse() as Message) : serverSays('picture-unopened');
        throw refused([{ field: `pictures/${i}`, ...serverSays('book-at', { place: `pictures/${i}`, what }) }]);
      }
    }
    return rows;
  }

  private async plan(manager: EntityManager, book: Book): Promise<Plan> {
    const [batches, recipes] = [await this.planBatches(manager, book.batches), await planRecipes(manager, book.recipes)];
    const lots = await manager.getRepository(LotEntity).countBy({ id: In(book.lots.map(({ id }) => id)) });
    const tools = await manager.getRepository(ToolEntity).countBy({ id: In(book.tools.map(({ id }) => id)) });
    const pictures = await manager.getRepository(PictureEntity).countBy({ id: In(book.pictures.map(({ id }) => id)) });
    const known = await manager.getRepository(DeviceEntity).find({ select: { id: true }, where: { id: In(book.devices.map(({ id }) => id)) } });
    return {
      batches: batches.filter(({ fate }) => fate === 'new' || fate === 'longer'),
      recipes: recipes.filter(({ fate }) => fate === 'new' || fate === 'longer'),
      response: {
        written: false,
        house: book.house,
        recipes: recipes.map(({ id, name, fate }) => ({ id, name, fate })),
        batches: batches.map(({ batch, code, fate }) => ({
          id: batch.id,
          code: batch.code,
          name: batch.process.name,
          fate,
          ...(code === batch.code || fate !== 'new' ? {} : { as: code }),
        })),
        devices: book.devices.length - known.length,
        lots: book.lots.length - lots,
        tools: book.tools.length - tools,
        pictures: book.pictures.length - pictures,
        readings: (book.readings ?? []).length,
      },
    };
  }

  private async planBatches(manager: EntityManager, batches: readonly BookBatch[]): Promise<(Plan['batches'][number] & { fate: BookFate })[]> {
    const here = new Map<string, BatchEntity>();
    const logs = new Map<string, LogEntry[]>();
    for (const ids of chunks(batches.map(({ id }) => id))) {
      for (const row of await manager.getRepository(BatchEntity).find({ where: { id: In(ids) } })) here.set(row.id, row);
      for (const { batchId, body } of await manager.getRepository(LogEntryEntity).find({ where: { batchId: In(ids) }, order: { seq: 'ASC' } }))
        logs.set(batchId, [...(logs.get(batchId) ?? []), body]);
    }
    await refuseStrayEntries(manager, batches);
    const codes = new Set((await manager.query<{ code: string }[]>('SELECT code FROM batch')).map(({ code }) => code));
    let number = Math.max(0, ...[...codes, ...batches.map(({ code }) => code)].map(numberOf));
    return inFamilyOrder(batches).map((batch) => {
      const row = here.get(batch.id);
      if (row !== undefined) {
        const log = logs.get(batch.id) ?? [];
        const shared = Math.min(log.length, batch.entries.length);
        const isSame =
          isDeepStrictEqual(row.design, batch.design) &&
          isDeepStrictEqual(row.process, batch.process) &&
          isDeepStrictEqual(log.slice(0, shared), batch.entries.slice(0, shared)) &&
          (row.cutFrom ?? undefined) === batch.cutFrom;
        const fate: BookFate = !isSame ? 'differs' : batch.entries.length > log.length ? 'longer' : 'known';
        return { batch, code: row.code, isNew: false, entries: batch.entries.slice(shared), fate };
      }
      const code = codes.has(batch.code) ? `${batch.process.prefix}-${String((number += 1)).padStart(3, '0')}` : batch.code;
      codes.add(code);
      return { batch, code, isNew: true, entries: batch.entries, fate: 'new' };
    });
  }

  private async writeHouse(manager: EntityManager, book: Book): Promise<void> {
    if (book.plan && !(await manager.getRepository(HousePlanEntity).existsBy({ id: 1 })))
      await manager.getRepository(HousePlanEntity).insert({ id: 1, plan: book.plan, changedBy: 'import', changedAt: new Date(this.clock.now()) });
    if (book.house !== '' && !(await manager.getRepository(HouseEntity).existsBy({ id: 1 })))
      await manager.getRepository(HouseEntity).insert({ id: 1, name: book.house, demo: false, demoFrom: null, demoWhole: true });
  }

  private async writeRecipes(manager: EntityManager, { recipes }: Plan): Promise<void> {
    for (const { id, putAway, isNew, versions } of recipes) {
      if (isNew) await manager.getRepository(RecipeEntity).insert({ id, putAway });
      await manager
        .getRepository(RecipeVersionEntity)
        .insert(versions.map(({ at, ...version }) => Object.assign(new RecipeVersionEntity(), { ...version, recipeId: id, at: new Date(at) })));
    }
  }

  private async writeDevices(manager: EntityManager, { devices }: Book): Promise<void> {
    const rows = devices.map(({ createdAt, store = null, ...device }) =>
      Object.assign(new DeviceEntity(), { ...device, store, weight: null, tokenHash: null, heardAt: null, createdAt: new Date(createdAt) }),
    );
    if (rows.length > 0) await manager.createQueryBuilder().insert().into(DeviceEntity).values(rows).orIgnore().execute();
  }

  private async writeBatches(manager: EntityManager, { batches }: Plan): Promise<void> {
    for (const part of chunks(batches)) {
      const fresh = part.filter(({ isNew }) => isNew);
      await manager.getRepository(BatchEntity).insert(
        fresh.map(({ batch, code }) =>
          Object.assign(new BatchEntity(), {
            id: batch.id,
            code,
            design: batch.design,
            process: batch.process,
            createdBy: batch.createdBy,
            createdAt: new Date(batch.createdAt),
            cutFrom: batch.cutFrom ?? null,
            cutAfter: batch.cutAfter ?? null,
          }),
        ),
      );
      const entries = part.flatMap(({ batch, entries: own }) =>
        own.map((entry) =>
          Object.assign(new LogEntryEntity(), {
            id: entry.id,
            batchId: batch.id,
            seq: entry.seq,
            kind: entry.kind,
            body: entry,
            at: new Date(entry.at),
            recordedAt: new Date(entry.recordedAt),
          }),
        ),
      );
      for (const rows of chunks(entries)) await manager.getRepository(LogEntryEntity).insert(rows);
      const rows = await manager.getRepository(BatchEntity).find({ where: { id: In(part.map(({ batch }) => batch.id)) } });
      for (const batch of await this.batches.withLogs(manager, rows)) await this.ledger.rebuild(manager, batch, this.clock.now());
    }
    // The next batch of this house is numbered after all that came.
    const last = Math.max(0, ...(await manager.query<{ code: string }[]>('SELECT code FROM batch')).map(({ code }) => numberOf(code)));
    if (last > 0) await manager.query(`SELECT setval('batch_number', greatest($1::bigint, (SELECT last_value FROM batch_number)))`, [last]);
  }
}

interface PictureRow {
  row: Omit<PictureEntity, 'jpeg'> & { jpeg: Buffer };
  readings: Book['pictures'][number]['readings'];
}

/** Tools that are not here yet; one that is on a channel that is taken here comes in put away. Checks are added to those that are here. */
async function writeTools(manager: EntityManager, { tools }: Book): Promise<void> {
  for (const { id, name, size, putAway, by, at, checks } of tools) {
    const taken =
      size.kind === 'thermometer' && size.device !== undefined
        ? await manager.query<unknown[]>(`SELECT 1 FROM tool WHERE size->>'device' = $1 AND (size->>'channel')::int = $2 AND id <> $3 AND NOT put_away`, [
            size.device,
            size.channel,
            id,
          ])
        : [];
    const tool = { id, name, size, putAway: putAway || taken.length > 0, by, at: new Date(at) };
    await manager.createQueryBuilder().insert().into(ToolEntity).values(tool).orIgnore().execute();
    const rows = checks.map(({ at: checkedAt, ...check }) => ({ ...check, toolId: id, at: new Date(checkedAt) }));
    for (const own of chunks(rows)) await manager.createQueryBuilder().insert().into(ToolCheckEntity).values(own).orIgnore().execute();
  }
}

/** Pictures of batches that are here by now. */
async function writePictures(manager: EntityManager, pictures: readonly PictureRow[]): Promise<void> {
  for (const { row, readings } of pictures) {
    await manager.createQueryBuilder().insert().into(PictureEntity).values(row).orIgnore().execute();
    const rows = readings.map(({ at, ...reading }) => ({ ...reading, pictureId: row.id, at: new Date(at) }));
    for (const own of chunks(rows)) await manager.createQueryBuilder().insert().into(PictureReadingEntity).values(own).orIgnore().execute();
  }
}

async function planRecipes(manager: EntityManager, recipes: Book['recipes']): Promise<(Plan['recipes'][number] & { name: string; fate: BookFate })[]> {
  const ids = recipes.map(({ id }) => id);
  const shelf = new Set((await manager.getRepository(RecipeEntity).find({ where: { id: In(ids) } })).map(({ id }) => id));
  const here = await manager.getRepository(RecipeVersionEntity).find({ where: { recipeId: In(ids) } });
  return recipes.map(({ id, putAway, versions }) => {
    const sorted = [...versions].sort((a, b) => a.version - b.version);
    const own = here.filter(({ recipeId }) => recipeId === id);
    const more = sorted.filter(({ version }) => !own.some((one) => one.version === version));
    const differs = sorted.some(({ version, recipe }) => own.some((one) => one.version === version && !isDeepStrictEqual(one.recipe, recipe)));
    const fate: BookFate = differs ? 'differs' : !shelf.has(id) ? 'new' : more.length > 0 ? 'longer' : 'known';
    return { id, putAway, isNew: !shelf.has(id), versions: more, name: sorted.at(-1)?.recipe.name ?? id, fate };
  });
}

/** An entry that stands in another batch of this house cannot come in a second time. */
async function refuseStrayEntries(manager: EntityManager, batches: readonly BookBatch[]): Promise<void> {
  const batchOf = new Map(batches.flatMap(({ id, entries }) => entries.map((entry) => [entry.id, id] as const)));
  for (const ids of chunks([...batchOf.keys()])) {
    const rows = await manager.getRepository(LogEntryEntity).find({ select: { id: true, batchId: true }, where: { id: In(ids) } });
    const stray = rows.find(({ id, batchId }) => batchOf.get(id) !== batchId);
    if (stray !== undefined) throw refused([{ field: 'batches', ...serverSays('stray-entry') }]);
  }
}

async function writeReadings(manager: EntityManager, book: Book): Promise<number> {
  let written = 0;
  for (const { device, channel, from, s, C } of book.readings ?? []) {
    const fromMs = Date.parse(from);
    const [row] = await manager.query<{ samples: Buffer }[]>('SELECT samples FROM reading_block WHERE device_id = $1 AND channel = $2 AND from_at = $3', [
      device,
      channel,
      from,
    ]);
    const { bytes, added } = mergeBlock(
      fromMs,
      row?.samples ?? null,
      s.map((second, i) => ({ at: fromMs + second * 1000, C: C[i] ?? 0 })),
    );
    if (added === 0) continue;
    written += 1;
    await manager.query(
      `INSERT INTO reading_block (device_id, channel, from_at, samples) VALUES ($1, $2, $3, $4)
       ON CONFLICT (device_id, channel, from_at) DO UPDATE SET samples = excluded.samples`,
      [device, channel, from, bytes],
    );
  }
  return written;
}

/** What something was cut from comes before it. */
function inFamilyOrder(batches: readonly BookBatch[]): BookBatch[] {
  const left = new Map(batches.map((batch) => [batch.id, batch]));
  const sorted: BookBatch[] = [];
  const take = (batch: BookBatch, line: ReadonlySet<string>): void => {
    if (!left.has(batch.id)) return;
    if (line.has(batch.id)) throw refused([{ field: 'batches', ...serverSays('cut-from-itself', { batch: batch.code }) }]);
    const from = batch.cutFrom === undefined ? undefined : left.get(batch.cutFrom);
    if (from !== undefined) take(from, new Set([...line, batch.id]));
    left.delete(batch.id);
    sorted.push(batch);
  };
  for (const batch of batches) take(batch, new Set());
  return sorted;
}

const numberOf = (code: string): number => Number(/-(\d{1,9})/.exec(code)?.[1] ?? 0);

function chunks<T>(list: readonly T[]): T[][] {
  return Array.from({ length: Math.ceil(list.length / ROWS) }, (_, i) => list.slice(i * ROWS, (i + 1) * ROWS));
}

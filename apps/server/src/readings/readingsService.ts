import { DAY_MS, type Message } from '@bunkhouse/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import {
  serverSays,
  checkReading,
  OLDEST_MS,
  type CheckedReading,
  type ReadingsEvent,
  type RefusedReading,
  type SeriesResponse,
  type TakenResponse,
  type FileQuery,
} from '@bunkhouse/api';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { Clock } from '../clock.js';
import { ToolsService, type ChannelCorrection } from '../tools/toolsService.js';
import { DeviceEntity } from './deviceEntity.js';
import { gather, stepFor } from './gather.js';
import { READINGS_CHANNEL } from './readingsChannel.js';
import { BLOCK_MS, blockOf, mergeBlock, readBlock, type Sample } from './readingBlock.js';
import { writtenFile } from '../writtenFile.js';

/** Points of a curve where nothing else is asked for: what a wide screen can show. */
const USUAL_POINTS = 1200;

interface Line {
  line: number;
  reading: CheckedReading;
}

const refusedAt = (line: number, { message, ...said }: Message): RefusedReading => ({ line, reason: message, ...said });

/** Takes readings in and gives them out, gathered. */
@Injectable()
export class ReadingsService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly tools: ToolsService,
    private readonly clock: Clock,
  ) {}

  /** Keeps the readings that may be kept; each that may not is named by its place with the reason. */
  async take(device: DeviceEntity, lines: readonly unknown[], oldestMs: number = OLDEST_MS.device): Promise<TakenResponse> {
    const now = this.clock.now();
    const channels = new Set(device.channels.map(({ channel }) => channel));
    const refused: TakenResponse['refused'] = [];
    const good: Line[] = [];
    lines.forEach((line, i) => {
      const checked = checkReading(line, channels, now, oldestMs);
      if ('reason' in checked) refused.push(refusedAt(i, checked.reason));
      else good.push({ line: i, reading: checked.reading });
    });
    if (good.length === 0) return { taken: 0, known: 0, refused };
    const truly = await this.corrections([{ device: device.id }]);
    const { taken, known, other } = await this.dataSource.transaction((manager) => keep(manager, device.id, good, now, truly));
    const clashing = other.map(({ line }) => refusedAt(line, serverSays('reading-otherwise')));
    return { taken, known, refused: [...refused, ...clashing].sort((a, b) => a.line - b.line) };
  }

  /** Curves of some channels between two instants, ms. */
  async series(channels: readonly { device: string; channel: number }[], fromMs: number, toMs: number, everyS?: number): Promise<SeriesResponse> {
    const step = everyS ?? stepFor(toMs - fromMs, USUAL_POINTS);
    const truly = await this.corrections(channels);
    const rows = await this.blocks(channels, fromMs, toMs);
    return {
      everyS: step,
      channels: channels.map((own) => ({
        ...own,
        ...gather(
          rows
            .filter((row) => row.device_id === own.device && row.channel === own.channel)
            .map((row) => ({ fromMs: row.from_at.getTime(), bytes: row.samples })),
          fromMs,
          toMs,
          step,
          truly.get(`${own.device}:${own.channel}`),
        ),
      })),
    };
  }

  /** Every reading of some channels between two instants, ms, as lines of CSV: a day at a time, so that a season needs no more memory than a day. */
  async *csv(channels: readonly { device: string; channel: number }[], fromMs: number, toMs: number, how: FileQuery = {}): AsyncGenerator<string> {
    const { temperature, fixed, lines: written } = writtenFile(how);
    const devices = await this.dataSource.getRepository(DeviceEntity).find({ where: { id: In([...new Set(channels.map(({ device }) => device))]) } });
    const nameOf = new Map<string, readonly [string, string]>(
      devices.flatMap(({ id, name, channels: own }) => own.map((channel) => [`${id}:${channel.channel}`, [name, channel.name]] as const)),
    );
    const truly = await this.corrections(channels);
    yield written([['at', 'device', 'name', 'channel', temperature.unit, `true${temperature.unit}`]]);
    for (let day = fromMs; day < toMs; day += DAY_MS) {
      const until = Math.min(toMs, day + DAY_MS);
      const rows = await this.blocks(channels, day, until);
      const lines = rows
        .flatMap((row) =>
          readBlock(row.from_at.getTime(), row.samples).map((sample) => ({ ...sample, key: `${row.device_id}:${row.channel}`, channel: row.channel })),
        )
        // A day ends before the next one begins: its last instant belongs to that one, unless it is the very last.
        .filter(({ at }) => at >= day && (at < until || (until === toMs && at === toMs)))
        .sort((a, b) => a.at - b.at || a.channel - b.channel)
        .map(({ at, C, key, channel }) => [
          new Date(at).toISOString(),
          ...(nameOf.get(key) ?? ['', '']),
          channel,
          fixed(temperature.shown(C), 2),
          fixed(temperature.shown(truly.get(key)?.(C, at) ?? C), 2),
        ]);
      if (lines.length > 0) yield written(lines);
    }
  }

  private corrections(channels: readonly { device: string }[]): Promise<ReadonlyMap<string, ChannelCorrection>> {
    return this.tools.corrections(
      this.dataSource.manager,
      channels.map(({ device }) => device),
    );
  }

  private blocks(channels: readonly { device: string; channel: number }[], fromMs: number, toMs: number): Promise<BlockRow[]> {
    if (channels.length === 0) return Promise.resolve([]);
    return this.dataSource.query(
      `SELECT block.device_id, block.channel, block.from_at, block.samples
       FROM unnest($1::uuid[], $2::smallint[]) AS asked(device_id, channel)
       JOIN reading_block AS block ON block.device_id = asked.device_id AND block.channel = asked.channel AND block.from_at >= $3 AND block.from_at <= $4
       ORDER BY block.device_id, block.channel, block.from_at`,
      [channels.map(({ device }) => device), channels.map(({ channel }) => channel), new Date(fromMs - BLOCK_MS), new Date(toMs)],
    );
  }
}

interface BlockRow {
  device_id: string;
  channel: number;
  from_at: Date;
  samples: Buffer;
}

/** One writer at a time for a device: its row is locked while blocks are merged. */
async function keep(
  manager: EntityManager,
  deviceId: string,
  good: readonly Line[],
  now: number,
  truly: ReadonlyMap<string, ChannelCorrection>,
): Promise<{ taken: number; known: number; other: Line[] }> {
  await manager.query(`SELECT 1 FROM device WHERE id = $1 FOR UPDATE`, [deviceId]);
  const groups = new Map<string, { channel: number; fromMs: number; lines: Line[] }>();
  for (const line of good) {
    const fromMs = blockOf(line.reading.at);
    const key = `${line.reading.channel}:${fromMs}`;
    const group = groups.get(key) ?? { channel: line.reading.channel, fromMs, lines: [] };
    group.lines.push(line);
    groups.set(key, group);
  }
  const asked = [...groups.values()];
  const standing: BlockRow[] = await manager.query(
    `SELECT block.device_id, block.channel, block.from_at, block.samples FROM unnest($2::smallint[], $3::timestamptz[]) AS asked(channel, from_at)
     JOIN reading_block AS block ON block.device_id = $1 AND block.channel = asked.channel AND block.from_at = asked.from_at`,
    [deviceId, asked.map(({ channel }) => channel), asked.map(({ fromMs }) => new Date(fromMs))],
  );
  const bytesOf = new Map(standing.map((row) => [`${row.channel}:${row.from_at.getTime()}`, row.samples]));
  const merged = asked.map(({ channel, fromMs, lines }) => {
    const { bytes, added, known, other } = mergeBlock(
      fromMs,
      bytesOf.get(`${channel}:${fromMs}`) ?? null,
      lines.map(({ reading }) => reading),
    );
    const clashing = new Set<Sample>(other);
    return { channel, fromMs, bytes, added, known, other: lines.filter(({ reading }) => clashing.has(reading)) };
  });
  await manager.query(
    `INSERT INTO reading_block (device_id, channel, from_at, samples)
     SELECT $1, * FROM unnest($2::smallint[], $3::timestamptz[], $4::bytea[])
     ON CONFLICT (device_id, channel, from_at) DO UPDATE SET samples = EXCLUDED.samples`,
    [deviceId, merged.map(({ channel }) => channel), merged.map(({ fromMs }) => new Date(fromMs)), merged.map(({ bytes }) => bytes)],
  );
  await manager.query(`UPDATE device SET heard_at = $2 WHERE id = $1`, [deviceId, new Date(now)]);
  await manager.query(`SELECT pg_notify($1, $2)`, [READINGS_CHANNEL, JSON.stringify(eventOf(deviceId, good, truly))]);
  const sum = (pick: (block: (typeof merged)[number]) => number) => merged.reduce((total, block) => total + pick(block), 0);
  return { taken: sum(({ added }) => added), known: sum(({ known }) => known), other: merged.flatMap(({ other }) => other) };
}

function eventOf(device: string, good: readonly Line[], truly: ReadonlyMap<string, ChannelCorrection>): ReadingsEvent {
  const latest = new Map<number, ReadingsEvent['latest'][number]>();
  let [from, to] = [Infinity, -Infinity];
  for (const { reading } of good) {
    const { channel, at } = reading;
    const C = truly.get(`${device}:${channel}`)?.(reading.C, at) ?? reading.C;
    if (at >= (latest.get(channel)?.at ?? -Infinity)) latest.set(channel, { channel, at, C: Math.round(C * 100) / 100 });
    from = Math.min(from, at);
    to = Math.max(to, at);
  }
  return { device, from, to, latest: [...latest.values()] };
}

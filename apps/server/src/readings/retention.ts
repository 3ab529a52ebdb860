import { DAY_MS, HOUR_MS } from '@bunkhouse/core';
import { Injectable, Logger, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { USUAL_SETTINGS } from '@bunkhouse/api';
import type { DataSource } from 'typeorm';
import { Clock } from '../clock.js';
import { HouseEntity } from '../house/houseEntity.js';
import { thinBlock } from './readingBlock.js';

const FIRST_MS = 60_000;
const EVERY_MS = 6 * HOUR_MS;
/** Blocks of five minutes at once: a week of one channel. */
const AT_ONCE = 2016;
/** One server at a time: any number, so long as nobody else of ours takes the same. */
const LOCK = 41_800_001;

/** Thins old readings to what draws the same curve, where the house wants that. The log is never touched. */
@Injectable()
export class Retention implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly logger = new Logger('Retention');
  private timer: NodeJS.Timeout | null = null;
  private isClosing = false;

  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly clock: Clock,
  ) {}

  onApplicationBootstrap(): void {
    this.later(FIRST_MS);
  }

  beforeApplicationShutdown(): void {
    this.isClosing = true;
    if (this.timer !== null) clearTimeout(this.timer);
  }

  private later(ms: number): void {
    if (this.isClosing) return;
    this.timer = setTimeout(() => {
      this.thin()
        .catch((error: unknown) => this.logger.warn(`Old readings were not thinned: ${error instanceof Error ? error.message : String(error)}`))
        .finally(() => this.later(EVERY_MS));
    }, ms);
    this.timer.unref();
  }

  /**
   * Thins what is older than the house keeps whole. Cut off in the middle it is taken up again: what is thin stays as it is.
   *
   * @returns blocks that became smaller; null where nothing is to be thinned, or another server is at it
   */
  async thin(): Promise<number | null> {
    const house = await this.dataSource.getRepository(HouseEntity).findOneBy({ id: 1 });
    const rawDays = { ...USUAL_SETTINGS, ...house?.settings }.rawDays;
    if (house === null || rawDays === null) return null;
    const runner = this.dataSource.createQueryRunner();
    try {
      const [{ got }] = (await runner.query(`SELECT pg_try_advisory_lock($1) AS got`, [LOCK])) as [{ got: boolean }];
      if (!got) return null;
      try {
        return await this.thinBefore(rawDays, house.thinnedUntil);
      } finally {
        await runner.query(`SELECT pg_advisory_unlock($1)`, [LOCK]);
      }
    } finally {
      await runner.release();
    }
  }

  private async thinBefore(rawDays: number, from: Date | null): Promise<number> {
    const channels: { device_id: string; channel: number; newest: Date }[] = await this.dataSource.query(
      `SELECT device.id AS device_id, (own->>'channel')::int AS channel, last.from_at AS newest
       FROM device, jsonb_array_elements(device.channels) AS own,
       LATERAL (SELECT from_at FROM reading_block WHERE device_id = device.id AND channel = (own->>'channel')::int ORDER BY from_at DESC LIMIT 1) AS last`,
    );
    // By a clock that ran ahead nothing is old: it is counted back from the newest reading.
    const newest = Math.max(0, ...channels.map((own) => own.newest.getTime()));
    const until = new Date(Math.min(this.clock.now(), newest) - rawDays * DAY_MS);
    let thinner = 0;
    for (const own of channels) thinner += await this.thinChannel(own, from ?? new Date(0), until);
    if (until.getTime() > (from?.getTime() ?? 0)) await this.dataSource.getRepository(HouseEntity).update({ id: 1 }, { thinnedUntil: until });
    return thinner;
  }

  private async thinChannel({ device_id, channel }: { device_id: string; channel: number }, from: Date, until: Date): Promise<number> {
    let thinner = 0;
    for (let after = from; !this.isClosing;) {
      const done = await this.dataSource.transaction(async (manager) => {
        // Whoever brings readings in locks the device as well.
        await manager.query(`SELECT 1 FROM device WHERE id = $1 FOR UPDATE`, [device_id]);
        const blocks: { from_at: Date; samples: Buffer }[] = await manager.query(
          `SELECT from_at, samples FROM reading_block WHERE device_id = $1 AND channel = $2 AND from_at >= $3 AND from_at < $4 ORDER BY from_at LIMIT $5`,
          [device_id, channel, after, until, AT_ONCE],
        );
        const thin = blocks
          .map(({ from_at, samples }) => ({ from_at, before: samples.length, samples: thinBlock(samples) }))
          .filter(({ before, samples }) => samples.length < before);
        await manager.query(
          `UPDATE reading_block SET samples = thin.samples FROM unnest($3::timestamptz[], $4::bytea[]) AS thin(from_at, samples)
           WHERE device_id = $1 AND channel = $2 AND reading_block.from_at = thin.from_at`,
          [device_id, channel, thin.map(({ from_at }) => from_at), thin.map(({ samples }) => samples)],
        );
        return { last: blocks.length < AT_ONCE ? null : (blocks.at(-1)?.from_at ?? null), thinner: thin.length };
      });
      thinner += done.thinner;
      if (done.last === null) break;
      after = new Date(done.last.getTime() + 1);
    }
    return thinner;
  }
}

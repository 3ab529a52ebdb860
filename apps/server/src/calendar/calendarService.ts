import { randomBytes, timingSafeEqual } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { settingsOf, type BatchResponse, type CalendarFeedRequest, type CalendarFeedResponse } from '@bunkhouse/api';
import { readerOf, sayTo } from '@bunkhouse/words';
import { API_WORDS } from '@bunkhouse/api/words';
import { ENGLISH, calendarEvents, DAY_MS } from '@bunkhouse/core';
import type { DataSource } from 'typeorm';
import { BatchesService } from '../batches/batchesService.js';
import { Clock } from '../clock.js';
import { HousePlanService } from '../house/housePlanService.js';
import { HouseEntity } from '../house/houseEntity.js';
import { CalendarFeedEntity } from './calendarFeedEntity.js';
import { writeCalendar } from './writeCalendar.js';

const HOUSE_WORDS = { ...ENGLISH, ...API_WORDS };

const SECRET_BYTES = 24;
const USUAL_ALARM_MIN = 15;
/** What was finished or thrown away stays in the calendar so long, days: long enough for every client to hear of a cancellation. */
const KEPT_DAYS = 30;

/** The jobs of the house for calendars outside. */
@Injectable()
export class CalendarService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly plan: HousePlanService,
    private readonly clock: Clock,
  ) {}

  async feed(): Promise<CalendarFeedResponse> {
    const row = await this.row();
    return { path: row === null ? null : `/api/feeds/${row.secret}/bunkhouse.ics`, alarmMin: row === null ? USUAL_ALARM_MIN : row.alarmMin };
  }

  async change({ alarmMin, renew, by }: CalendarFeedRequest): Promise<CalendarFeedResponse> {
    const row = await this.row();
    const secret = row === null || renew ? randomBytes(SECRET_BYTES).toString('base64url') : row.secret;
    await this.dataSource.getRepository(CalendarFeedEntity).save({ id: 1, secret, alarmMin, changedBy: by.trim(), changedAt: new Date(this.clock.now()) });
    return this.feed();
  }

  /** Whether somebody knows the address, compared in the same time for any guess. */
  async isSecret(guess: string): Promise<boolean> {
    const row = await this.row();
    if (row === null) return false;
    const [known, given] = [Buffer.from(row.secret), Buffer.from(guess)];
    return known.length === given.length && timingSafeEqual(known, given);
  }

  async house(host: string): Promise<string> {
    const since = new Date(this.clock.now() - KEPT_DAYS * DAY_MS);
    return this.written([...(await this.batches.live()), ...(await this.batches.endedSince(since))], host);
  }

  async batch(id: string, host: string): Promise<string> {
    return this.written([await this.batches.one(id)], host);
  }

  private async written(batches: readonly BatchResponse[], host: string): Promise<string> {
    const [{ hours }, house, feed] = await Promise.all([this.plan.plan(), this.dataSource.getRepository(HouseEntity).findOneBy({ id: 1 }), this.feed()]);
    const events = batches.flatMap((batch) => calendarEvents(batch, Date.parse(batch.createdAt), hours.timeZone));
    return writeCalendar(events, {
      name: house?.name ?? 'Cook-house',
      say: sayTo(readerOf(settingsOf(house?.settings), hours.timeZone), HOUSE_WORDS),
      timeZone: hours.timeZone,
      alarmMin: feed.alarmMin,
      addressOf: (id) => `${host}/batches/${id}`,
    });
  }

  private row(): Promise<CalendarFeedEntity | null> {
    return this.dataSource.getRepository(CalendarFeedEntity).findOneBy({ id: 1 });
  }
}

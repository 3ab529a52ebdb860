import { Injectable, Logger, type BeforeApplicationShutdown, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ReadingsEvent, WeightEvent } from '@bunkhouse/api';
import { Client } from 'pg';
import { interval, map, merge, Subject, takeUntil, type Observable } from 'rxjs';
import type { DataSource } from 'typeorm';
import { READINGS_CHANNEL } from './readingsChannel.js';

const AGAIN_MS = 2000;
/** Something is said now and then, so that nobody on the way takes the line for dead. */
const BEAT_MS = 20_000;

/** Hears of readings that any server took in, through the database, and passes them on to whoever watches here. */
@Injectable()
export class ReadingsStream implements OnModuleInit, BeforeApplicationShutdown {
  private readonly logger = new Logger('Readings');
  private readonly events = new Subject<ReadingsEvent | WeightEvent>();
  private readonly closing = new Subject<void>();
  private client: Client | null = null;
  private retry: NodeJS.Timeout | null = null;
  private isClosing = false;

  constructor(@InjectDataSource() private readonly dataSource: DataSource) {}

  async onModuleInit(): Promise<void> {
    await this.listen();
  }

  /** What is told to one who watches. */
  watched(): Observable<{ type: string; data: ReadingsEvent | WeightEvent | Record<string, never> }> {
    return merge(
      this.events.pipe(map((data) => ({ type: 'g' in data ? 'weight' : 'readings', data }))),
      interval(BEAT_MS).pipe(map(() => ({ type: 'beat', data: {} }))),
    ).pipe(takeUntil(this.closing));
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.isClosing = true;
    if (this.retry !== null) clearTimeout(this.retry);
    this.closing.next();
    await this.client?.end().catch(() => undefined);
  }

  private async listen(): Promise<void> {
    const { options } = this.dataSource;
    const client = new Client({ connectionString: 'url' in options ? options.url : undefined });
    const again = () => {
      if (this.isClosing || this.client !== client) return;
      this.client = null;
      this.retry = setTimeout(() => void this.listen(), AGAIN_MS);
    };
    this.client = client;
    client.on('error', again);
    client.on('end', again);
    client.on('notification', ({ payload }) => this.heard(payload));
    try {
      await client.connect();
      await client.query(`LISTEN ${READINGS_CHANNEL}`);
    } catch {
      again();
      await client.end().catch(() => undefined);
    }
  }

  private heard(payload: string | undefined): void {
    try {
      this.events.next(JSON.parse(payload ?? '') as ReadingsEvent | WeightEvent);
    } catch {
      this.logger.warn('A message about readings could not be read.');
    }
  }
}

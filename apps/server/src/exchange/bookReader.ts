import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { BadRequestException, HttpException, Injectable } from '@nestjs/common';
import type { Book } from '@bunkhouse/api';
import { refused } from '../errors/refusals.js';
import { readBookBytes } from './readBookBytes.js';
import type { BookAnswer } from './readBookWorker.js';
import { serverSays } from '@bunkhouse/api';

/** One that is not read by then is no book of a house, ms. */
const PATIENCE_MS = 120_000;
const MOST_WAITING = 3;
const MEMORY_MB = 1500;
const WORKER = join(import.meta.dirname, 'readBookWorker.js');

/** Reads books in a thread of its own, one at a time: however large or hostile, nobody else waits for it. */
@Injectable()
export class BookReader {
  private last: Promise<unknown> = Promise.resolve();
  private waiting = 0;

  /** @throws BadRequestException where it is no book; 429 where others are before it */
  async read(body: unknown): Promise<Book> {
    if (!Buffer.isBuffer(body) || body.length === 0) throw refused([{ field: 'document', ...serverSays('no-document') }]);
    if (this.waiting >= MOST_WAITING) throw new HttpException(serverSays('books-waiting'), 429);
    this.waiting += 1;
    const next = this.last.then(() => inThread(body));
    this.last = next.catch(() => undefined);
    try {
      return await next;
    } finally {
      this.waiting -= 1;
    }
  }
}

/** Unbuilt, in a test of one file, it is read here. */
const inThread = (bytes: Buffer): Promise<Book> => (existsSync(WORKER) ? byWorker(bytes) : Promise.resolve().then(() => readBookBytes(bytes)));

/** Its memory where nothing else lies in it: handed over, not copied. */
const own = ({ buffer, byteOffset, byteLength }: Buffer) =>
  buffer instanceof ArrayBuffer && byteOffset === 0 && byteLength === buffer.byteLength ? [buffer] : [];

function byWorker(bytes: Buffer): Promise<Book> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(WORKER, {
      workerData: { bytes },
      transferList: own(bytes),
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB, stackSizeMb: 8 },
      stderr: true,
    });
    const patience = setTimeout(() => void worker.terminate(), PATIENCE_MS);
    const book: Record<string, unknown> = {};
    let answer: { book: Book } | { error: Error } | null = null;
    const ask = () => setImmediate(() => worker.postMessage('next'));
    worker.on('message', (said: BookAnswer) => {
      if ('part' in said) {
        const { part } = said;
        if ('value' in part) book[part.key] = part.value;
        else book[part.key] = [...((book[part.key] as unknown[] | undefined) ?? []), ...part.items];
        ask();
        return;
      }
      answer = 'refused' in said ? { error: new BadRequestException(said.refused) } : { book: book as unknown as Book };
      void worker.terminate();
    });
    worker.once('error', () => undefined);
    worker.once('exit', () => {
      clearTimeout(patience);
      if (answer !== null && 'book' in answer) resolve(answer.book);
      else reject(answer?.error ?? refused([{ field: 'document', ...serverSays('book-too-slow') }]));
    });
    ask();
  });
}

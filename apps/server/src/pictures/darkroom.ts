import { createRequire } from 'node:module';
import { Worker } from 'node:worker_threads';
import { Injectable } from '@nestjs/common';
import { imageSize } from 'image-size';
import { refused } from '../errors/refusals.js';

/** The longer side of a picture that is kept, px: enough for a screen and a page. */
export const LONG_SIDE = 1600;
/** A picture that is larger is not opened: a small file can unfold into more memory than there is. */
const MOST_PIXELS = 26_000_000;
const MOST_SIDE = 12_000;
/** One that is not done by then is no picture of meat, ms. */
const PATIENCE_MS = 40_000;
const JPEG_QUALITY = 84;

export interface Developed {
  width: number;
  height: number;
  jpeg: Buffer;
}

export interface Opened {
  width: number;
  height: number;
  rgba: Uint8Array;
}

/** Opened in a thread of its own: a picture takes seconds, and whatever breaks in it breaks there. */
const WORK = `
const { parentPort, workerData } = require('node:worker_threads');
const { Jimp } = require(workerData.jimp);
(async () => {
  const picture = await Jimp.read(Buffer.from(workerData.bytes));
  if (workerData.longSide !== null) {
    if (Math.max(picture.bitmap.width, picture.bitmap.height) > workerData.longSide) picture.scaleToFit({ w: workerData.longSide, h: workerData.longSide });
    const jpeg = await picture.getBuffer('image/jpeg', { quality: workerData.quality });
    parentPort.postMessage({ width: picture.bitmap.width, height: picture.bitmap.height, bytes: new Uint8Array(jpeg) });
  } else parentPort.postMessage({ width: picture.bitmap.width, height: picture.bitmap.height, bytes: new Uint8Array(picture.bitmap.data) });
})().catch((error) => { throw error; });
`;

/** Turns pictures upright, makes them small, opens them. One at a time. */
@Injectable()
export class Darkroom {
  private last: Promise<unknown> = Promise.resolve();

  /** A picture as it is kept: upright, small, a plain JPEG with nothing of the phone in it. @throws BadRequestException where it is none */
  async develop(bytes: Buffer): Promise<Developed> {
    requirePicture(bytes);
    const { width, height, bytes: jpeg } = await this.work(bytes, LONG_SIDE);
    return { width, height, jpeg: Buffer.from(jpeg) };
  }

  /** The colours of a picture that is kept. */
  async open(bytes: Buffer): Promise<Opened> {
    requirePicture(bytes);
    const { width, height, bytes: rgba } = await this.work(bytes, null);
    return { width, height, rgba };
  }

  private work(bytes: Buffer, longSide: number | null): Promise<Worked> {
    const next = this.last.then(
      () => inThread(bytes, longSide),
      () => inThread(bytes, longSide),
    );
    this.last = next.catch(() => undefined);
    return next;
  }
}

interface Worked {
  width: number;
  height: number;
  bytes: Uint8Array;
}

function inThread(bytes: Buffer, longSide: number | null): Promise<Worked> {
  const jimp = createRequire(process.argv[1] ?? `${process.cwd()}/`).resolve('jimp');
  return new Promise((resolve, reject) => {
    const worker = new Worker(WORK, { eval: true, workerData: { bytes, longSide, quality: JPEG_QUALITY, jimp }, stderr: true });
    const patience = setTimeout(() => void worker.terminate(), PATIENCE_MS);
    let worked: Worked | null = null;
    worker.once('message', (message: Worked) => (worked = message));
    worker.once('error', () => undefined);
    worker.once('exit', () => {
      clearTimeout(patience);
      if (worked === null) reject(refused([{ field: 'picture', message: 'That picture cannot be opened: it is torn, or it is none.' }]));
      else resolve(worked);
    });
  });
}

/** Looks at the head of a file before anything is unfolded. */
export function requirePicture(bytes: Buffer): { width: number; height: number } {
  const { type, width, height } = sizeOf(bytes);
  if (type !== 'jpg' && type !== 'png') throw refused([{ field: 'picture', message: 'That is no picture: a JPEG or a PNG is asked for.' }]);
  if (width < 32 || height < 32) throw refused([{ field: 'picture', message: 'That picture is too small to see anything in.' }]);
  if (width > MOST_SIDE || height > MOST_SIDE || width * height > MOST_PIXELS)
    throw refused([
      { field: 'picture', message: `That picture has ${Math.round((width * height) / 1e6)} million points. Up to 26 million are opened: make it smaller.` },
    ]);
  return { width, height };
}

function sizeOf(bytes: Buffer): { type: string | undefined; width: number; height: number } {
  try {
    const { type, width, height } = imageSize(bytes);
    return { type, width, height };
  } catch {
    return { type: undefined, width: 0, height: 0 };
  }
}

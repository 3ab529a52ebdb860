import type { Message } from '@bunkhouse/core';
import { createRequire } from 'node:module';
import { Worker } from 'node:worker_threads';
import { pathToFileURL } from 'node:url';
import { HttpException, Injectable } from '@nestjs/common';
import { types } from 'image-size';
import { refused } from '../errors/refusals.js';
import { serverSays } from '@bunkhouse/api';

/** The longer side of a picture that is kept, px: enough for a screen and a page. */
export const LONG_SIDE = 1600;
/** A picture that is larger is not opened: a small file can unfold into more memory than there is. */
const MOST_PIXELS = 26_000_000;
const MOST_SIDE = 12_000;
/** One that is not done by then is no picture of meat, ms. */
const PATIENCE_MS = 15_000;
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

/**
 * All of it in a thread of its own: a picture takes seconds, and whatever breaks in it breaks there. Its head is looked at first, by its own
 * kind alone. Of a PNG there is one head; what its points unfold to is known from it, and not a byte more is unfolded; parts that are no
 * points are left out.
 */
const WORK = `
const { parentPort, workerData } = require('node:worker_threads');
const { inflateSync } = require('node:zlib');
const bytes = Buffer.from(workerData.bytes);
const refuse = (because, n) => { parentPort.postMessage({ because, n }); process.exit(0); };
const CHANNELS = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 };
function onlyPoints(png) {
  const kept = [png.subarray(0, 8)];
  const points = [];
  let head = null;
  for (let at = 8; at + 12 <= png.length; ) {
    const long = png.readUInt32BE(at);
    const kind = png.toString('latin1', at + 4, at + 8);
    if (at + 12 + long > png.length) break;
    const part = png.subarray(at, at + 12 + long);
    if (kind === 'IHDR') {
      if (head !== null || at !== 8 || long !== 13) refuse('heads');
      head = part;
    }
    if (kind === 'IHDR' || kind === 'PLTE' || kind === 'tRNS' || kind === 'IDAT' || kind === 'IEND') kept.push(part);
    if (kind === 'IDAT') points.push(part.subarray(8, 8 + long));
    at += 12 + long;
    if (kind === 'IEND') break;
  }
  if (head === null) throw new Error('no head');
  const [width, height, depth, kind] = [head.readUInt32BE(8), head.readUInt32BE(12), head[16], head[17]];
  const row = Math.ceil((width * depth * (CHANNELS[kind] ?? 4)) / 8) + 1;
  // Interlaced it has seven smaller pictures, each with rows of its own.
  inflateSync(Buffer.concat(points), { maxOutputLength: row * height * 2 + 65536 });
  return Buffer.concat(kept);
}
(async () => {
  const isPng = bytes.readUInt32BE(0) === 0x89504e47;
  const { imageSize, disableTypes } = await import(workerData.imageSize);
  disableTypes(workerData.otherTypes);
  let size;
  try { size = imageSize(bytes); } catch { size = { width: 0, height: 0 }; }
  const { width, height } = size;
  if (size.type === undefined || width < 32 || height < 32) refuse(size.type === undefined ? 'none' : 'small');
  if (width > workerData.mostSide || height > workerData.mostSide || width * height > workerData.mostPixels)
    refuse('points', Math.round((width * height) / 1e6));
  const { Jimp } = require(workerData.jimp);
  const picture = await Jimp.read(isPng ? onlyPoints(bytes) : bytes, { 'image/jpeg': { maxMemoryUsageInMB: 400, maxResolutionInMP: 27 } });
  if (workerData.longSide !== null) {
    if (Math.max(picture.bitmap.width, picture.bitmap.height) > workerData.longSide) picture.scaleToFit({ w: workerData.longSide, h: workerData.longSide });
    const jpeg = await picture.getBuffer('image/jpeg', { quality: workerData.quality });
    parentPort.postMessage({ width: picture.bitmap.width, height: picture.bitmap.height, bytes: new Uint8Array(jpeg) });
  } else parentPort.postMessage({ width: picture.bitmap.width, height: picture.bitmap.height, bytes: new Uint8Array(picture.bitmap.data) });
})().catch((error) => { throw error; });
`;

const MEMORY_MB = 700;
const MOST_WAITING = 8;

/** Turns pictures upright, makes them small, opens them. One at a time. */
@Injectable()
export class Darkroom {
  private last: Promise<unknown> = Promise.resolve();

  private waiting = 0;

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

  private async work(bytes: Buffer, longSide: number | null): Promise<Worked> {
    if (this.waiting >= MOST_WAITING) throw new HttpException(serverSays('pictures-waiting'), 429);
    this.waiting += 1;
    const next = this.last.then(() => inThread(bytes, longSide));
    this.last = next.catch(() => undefined);
    try {
      return await next;
    } finally {
      this.waiting -= 1;
    }
  }
}

interface Worked {
  width: number;
  height: number;
  bytes: Uint8Array;
}

/** Why a thread did not open a picture. */
type Because = { because: 'heads' | 'none' | 'small' } | { because: 'points'; n: number };

function saidOf(answer: Because | null): Message {
  if (answer === null) return serverSays('picture-torn');
  switch (answer.because) {
    case 'heads':
      return serverSays('picture-heads');
    case 'none':
      return serverSays('no-picture');
    case 'small':
      return serverSays('picture-too-small');
    case 'points':
      return serverSays('picture-points', { n: answer.n, most: Math.floor(MOST_PIXELS / 1e6) });
  }
}

/** Kinds of files that are no picture to us: their readers are never asked. */
const OTHER_TYPES = types.filter((type) => type !== 'jpg' && type !== 'png');

function inThread(bytes: Buffer, longSide: number | null): Promise<Worked> {
  const find = createRequire(process.argv[1] ?? `${process.cwd()}/`);
  return new Promise((resolve, reject) => {
    const worker = new Worker(WORK, {
      eval: true,
      workerData: {
        bytes,
        longSide,
        quality: JPEG_QUALITY,
        mostSide: MOST_SIDE,
        mostPixels: MOST_PIXELS,
        otherTypes: OTHER_TYPES,
        jimp: find.resolve('jimp'),
        imageSize: pathToFileURL(find.resolve('image-size')).href,
      },
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
      stderr: true,
    });
    const patience = setTimeout(() => void worker.terminate(), PATIENCE_MS);
    let answer: Worked | Because | null = null;
    worker.once('message', (message: Worked | Because) => (answer = message));
    worker.once('error', () => undefined);
    worker.once('exit', () => {
      clearTimeout(patience);
      if (answer !== null && 'bytes' in answer) resolve(answer);
      else reject(refused([{ field: 'picture', ...saidOf(answer) }]));
    });
  });
}

/** By its first bytes, which cost nothing to look at. */
export function requirePicture(bytes: Buffer): void {
  const isJpeg = bytes.length > 3 && bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff;
  const isPng = bytes.length > 8 && bytes.subarray(0, 8).equals(Buffer.from('89504e470d0a1a0a', 'hex'));
  if (!isJpeg && !isPng) throw refused([{ field: 'picture', ...serverSays('no-picture') }]);
}

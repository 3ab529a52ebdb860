import { sameCurve } from '@bunkhouse/core';

/** Readings are kept five minutes of a channel to a row, four bytes each: tenths of a second from its start, hundredths of a degree. */
export const BLOCK_MS = 300_000;
const BYTES = 4;
const TENTH_MS = 100;

export interface Sample {
  /** ms */
  at: number;
  C: number;
}

export const blockOf = (at: number): number => Math.floor(at / BLOCK_MS) * BLOCK_MS;

/** The samples of a block, in order of time. */
export function readBlock(fromMs: number, bytes: Buffer): Sample[] {
  return Array.from({ length: Math.floor(bytes.length / BYTES) }, (_, i) => ({
    at: fromMs + bytes.readUInt16LE(i * BYTES) * TENTH_MS,
    C: bytes.readInt16LE(i * BYTES + 2) / 100,
  }));
}

/**
 * A block with more samples in it. Of two at the same tenth of a second the first stays: `known` counts those that say the same,
 * `other` names those that say something else.
 */
export function mergeBlock(fromMs: number, bytes: Buffer | null, more: readonly Sample[]): { bytes: Buffer; added: number; known: number; other: Sample[] } {
  const values = new Map<number, number>();
  if (bytes !== null) for (let i = 0; i + BYTES <= bytes.length; i += BYTES) values.set(bytes.readUInt16LE(i), bytes.readInt16LE(i + 2));
  const before = values.size;
  let known = 0;
  const other: Sample[] = [];
  for (const sample of more) {
    const place = Math.min(BLOCK_MS / TENTH_MS - 1, Math.round((sample.at - fromMs) / TENTH_MS));
    const value = Math.round(sample.C * 100);
    const stands = values.get(place);
    if (stands === undefined) values.set(place, Math.max(-32_768, Math.min(32_767, value)));
    else if (stands === value) known += 1;
    else other.push(sample);
  }
  const merged = Buffer.alloc(values.size * BYTES);
  [...values.keys()]
    .sort((a, b) => a - b)
    .forEach((place, i) => {
      merged.writeUInt16LE(place, i * BYTES);
      merged.writeInt16LE(values.get(place) ?? 0, i * BYTES + 2);
    });
  return { bytes: merged, added: values.size - before, known, other };
}

/** How far a reading that is left out may lie beside the curve of those that stay, °C. */
const THIN_WITHIN_C = 0.1;

/** A block with those of its samples that draw the same curve. */
export function thinBlock(bytes: Buffer): Buffer {
  const samples = Array.from({ length: Math.floor(bytes.length / BYTES) }, (_, i) => ({
    s: bytes.readUInt16LE(i * BYTES),
    C: bytes.readInt16LE(i * BYTES + 2) / 100,
    i,
  }));
  return Buffer.concat(sameCurve(samples, THIN_WITHIN_C).map(({ i }) => bytes.subarray(i * BYTES, (i + 1) * BYTES)));
}

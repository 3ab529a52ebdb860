import type { NextFunction, Request, Response } from 'express';
import { serverSays } from '@bunkhouse/api';

/** Refuses text that no database can keep: NUL characters and halves of characters. */
export function storableText(request: Request, response: Response, next: NextFunction): void {
  if (Buffer.isBuffer(request.body) || isStorable(request.body)) return next();
  response.status(400).json({ statusCode: 400, ...serverSays('unstorable-text') });
}

/** Whether a database can keep every text in it. */
export const isStorable = (value: unknown): boolean => storable(value);

function storable(value: unknown, depth = 0): boolean {
  if (depth > 20) return false;
  if (typeof value === 'string') return !value.includes('\u0000') && wellFormed(value);
  if (Array.isArray(value)) return value.every((item) => storable(item, depth + 1));
  if (typeof value !== 'object' || value === null) return true;
  return Object.entries(value).every(([key, item]) => storable(key, depth + 1) && storable(item, depth + 1));
}

const wellFormed = (text: string): boolean => !/[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/.test(text);

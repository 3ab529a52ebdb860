import { ValidateBy } from 'class-validator';
import type { Told } from './say/ruleWords.js';

const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,9})?)?(Z|[+-]\d{2}:\d{2})$/;

/** An instant with its offset, as ISO 8601 writes it: 2026-10-05T07:00:00Z. */
export const isInstant = (value: unknown): boolean => typeof value === 'string' && INSTANT.test(value) && Number.isFinite(Date.parse(value));

/** Validates an instant. @see isInstant */
export const IsInstant = (wrong: Told): PropertyDecorator =>
  ValidateBy({ name: 'isInstant', validator: { validate: isInstant, defaultMessage: () => wrong.message } }, wrong);

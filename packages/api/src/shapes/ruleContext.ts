import type { Message } from '@bunkhouse/core';

export type Shape<T> = new () => T;

/** What a rule tells the schema. */
export interface RuleContext {
  /** what is said where it does not hold, by code */
  said?: Message;
  description?: string;
  /** the class that stands there */
  part?: () => Shape<object>;
  /** the classes one of which stands there, and the property by which they differ, if one does */
  parts?: () => readonly Shape<object>[];
  by?: string;
  /** what the names and values of a list by name are */
  names?: string;
  values?: Readonly<Record<string, unknown>>;
  most?: number;
  count?: number;
  /** null may stand there */
  orNull?: true;
  /** it is more than this, and not as much */
  above?: number;
  /** a whole day, or bytes in base64 */
  format?: string;
  encoding?: string;
}

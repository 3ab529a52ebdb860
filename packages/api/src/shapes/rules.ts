import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateBy,
  ValidateIf,
  ValidateNested,
  validateSync,
} from 'class-validator';
import { plainToInstance } from 'class-transformer';
import { isInstant } from '../isInstant.js';
import type { RuleContext, Shape } from './ruleContext.js';

/**
 * Rules for what is kept and sent, one line a property. They are class-validator's; what a schema says beside them (a unit, which class stands
 * there) goes along as `context`, for `schemaOf`.
 */

/** A list of the house is as long as the house has it: what is longer is paged, or a mistake. */
export const LONG = 100_000;

/** A rule at a property that holds a `V`: the compiler refuses it at one of another type. */
export type Rule<V> = <Key extends string>(target: { [P in Key]?: V | null }, key: Key) => void;

const all =
  <V>(...rules: PropertyDecorator[]): Rule<V> =>
  (target, key) => {
    for (const rule of rules) rule(target, key);
  };
const told = (context: RuleContext) => ({ context });

/** It may be left out. */
export const MayBe = (): PropertyDecorator => IsOptional();

/** It is there, and may be null. */
export const OrNull = (): PropertyDecorator => ValidateIf((_, value) => value !== null, told({ orNull: true }));

export interface Bounds {
  min?: number;
  max?: number;
  /** more than, not as much as */
  above?: number;
}

/** A number, with its unit. */
export const Amount = (unit: string, { min, max, above }: Bounds = {}): Rule<number> =>
  all(
    IsNumber({}, told({ description: unit })),
    ...(min === undefined ? [] : [Min(min)]),
    ...(max === undefined ? [] : [Max(max)]),
    ...(above === undefined ? [] : [Above(above)]),
  );

const Above = (above: number): PropertyDecorator =>
  ValidateBy({ name: 'above', validator: { validate: (value) => typeof value === 'number' && value > above } }, told({ above }));

/** Numbers in a list. */
export const Amounts = (unit: string, most: number, { min, max }: Bounds = {}): Rule<readonly number[]> =>
  all(
    IsNumber({}, { each: true, ...told({ description: unit }) }),
    ...(min === undefined ? [] : [Min(min, { each: true })]),
    ...(max === undefined ? [] : [Max(max, { each: true })]),
    ArrayMaxSize(most),
    IsArray(),
  );

/** A whole number. */
export const Count = ({ min = 0, max }: Bounds = {}, description?: string): Rule<number> =>
  all(IsInt(description === undefined ? {} : told({ description })), Min(min), ...(max === undefined ? [] : [Max(max)]));

export interface TextRule {
  least?: number;
  pattern?: RegExp;
  description?: string;
}

/** Letters, so many at most. */
export const Text = (most: number, { least, pattern, description }: TextRule = {}): Rule<string> =>
  all(
    IsString(description === undefined ? {} : told({ description })),
    MaxLength(most),
    ...(least === undefined ? [] : [MinLength(least)]),
    ...(pattern === undefined ? [] : [Matches(pattern)]),
  );

/** Texts in a list. */
export const Texts = (longest: number, most: number, pattern?: RegExp): Rule<readonly string[]> =>
  all(
    IsString({ each: true }),
    MaxLength(longest, { each: true }),
    ...(pattern === undefined ? [] : [Matches(pattern, { each: true })]),
    ArrayMaxSize(most),
    IsArray(),
  );

/** One of some words, or numbers. */
export const Word = <const W extends string | number>(words: readonly W[], description?: string): Rule<NoInfer<W>> =>
  all(IsIn(words, description === undefined ? {} : told({ description })));

/** Some of them. */
export const Words = <const W extends string>(words: readonly W[], most: number): Rule<readonly NoInfer<W>[]> =>
  all(IsIn(words, { each: true }), ArrayMaxSize(most), IsArray());

export const YesNo = (description?: string): Rule<boolean> => all(IsBoolean(description === undefined ? {} : told({ description })));

/** A UUID. */
export const Id = (description?: string): Rule<string> => all(IsUUID(undefined, description === undefined ? {} : told({ description })));
export const Ids = (most: number, description?: string): Rule<readonly string[]> =>
  all(IsUUID(undefined, { each: true, ...(description === undefined ? {} : told({ description })) }), ArrayMaxSize(most), IsArray());

/** An ISO instant with its offset. */
export const Instant = (description?: string): Rule<string> =>
  all(ValidateBy({ name: 'isInstant', validator: { validate: isInstant } }, description === undefined ? {} : told({ description })));

const DAY = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** A day of the calendar. */
export const Day = (): Rule<string> => all(ValidateBy({ name: 'isDay', validator: { validate: isDay } }));
const isDay = (value: unknown): boolean => typeof value === 'string' && DAY.test(value);

/** A thing of a class. */
export const Part = <T extends object>(part: () => Shape<T>): Rule<T> => all(ValidateNested(told({ part })));

/** Things of a class, in a list. */
export const Parts = <T extends object>(part: () => Shape<T>, most: number, least = 0): Rule<readonly T[]> =>
  all(ValidateNested({ each: true, ...told({ part }) }), ArrayMaxSize(most), ...(least === 0 ? [] : [ArrayMinSize(least)]), IsArray());

/** So many lists, each with things of a class. */
export const PartsOfEach = <T extends object>(part: () => Shape<T>, count: number, most: number): Rule<readonly (readonly T[])[]> =>
  all(
    ValidateBy({ name: 'partsOfEach', validator: { validate: (lists) => isListOfLists(lists, part) } }, told({ part, count, most })),
    ArrayMaxSize(count),
    ArrayMinSize(count),
    IsArray(),
  );
const isListOfLists = (lists: unknown, part: () => Shape<object>): boolean =>
  Array.isArray(lists) && lists.every((list: unknown) => Array.isArray(list) && list.every((item: unknown) => isA(part(), item)));

const isA = (part: Shape<object>, value: unknown): boolean =>
  typeof value === 'object' && value !== null && validateSync(plainToInstance(part, value), { forbidNonWhitelisted: true, whitelist: true }).length === 0;

type OneOf<S> = S extends readonly Shape<infer T>[] ? T : never;

/** A thing of one of several classes: by which property they differ, or null where each has properties of its own. */
export const Either = <const S extends readonly Shape<object>[]>(parts: () => S, by: string | null): Rule<OneOf<S>> => all(isOneOf(parts, by));

/** Such things, in a list. */
export const Eithers = <const S extends readonly Shape<object>[]>(parts: () => S, by: string | null, most: number): Rule<readonly OneOf<S>[]> =>
  all(isOneOf(parts, by, true), ArrayMaxSize(most), IsArray());

function isOneOf(parts: () => readonly Shape<object>[], by: string | null, each = false): PropertyDecorator {
  return ValidateBy(
    { name: 'either', validator: { validate: (value) => parts().some((part) => isA(part, value)) } },
    { each, ...told({ parts, ...(by === null ? {} : { by }) }) },
  );
}

/** Values by names. */
export const ByName = <V>(context: Pick<RuleContext, 'values' | 'names' | 'most' | 'description'>): Rule<V> => all(IsObject({ context }));

/** Bytes in base64. */
export const Base64 = (mediaType: string, most: number): Rule<string> =>
  all(IsString(told({ format: mediaType, encoding: 'base64' })), MaxLength(most), Matches(/^[A-Za-z0-9+/]+={0,2}$/));

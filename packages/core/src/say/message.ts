import { IntlMessageFormat, type Formats, type Formatters } from 'intl-messageformat';
import { INSTANT_STYLES, writtenInstant, type InstantStyle } from './instant.js';
import { QUANTITY_STYLES, quantityAsGiven, writtenQuantity, type Quantity, type QuantityStyle } from './quantity.js';
import { PLAIN, type Reader } from './reader.js';

/** What a sentence is about: a quantity by the unit that its place names, a word, a sentence within it. */
type MessageArg = number | string | Quantity | Message;
export type MessageArgs = Readonly<Record<string, MessageArg>>;

/** A sentence: by its code and what it is about, and in plain English with metric units. */
export interface Message {
  code: string;
  /** quantities as they are kept, unrounded */
  args: MessageArgs;
  message: string;
}

/** What must be given for a place in a template: `{piece}`, `{limitC, number, C}`, `{n, plural, one {# day} other {# days}}`, `{at, time, moment}`. */
type ArgOf<Place extends string> = Place extends '' | `${'#' | ' ' | '.' | ',' | ';' | ':'}${string}`
  ? unknown
  : Place extends `${infer Name}, ${infer Kind}`
    ? Record<Name, Kind extends `select,${string}` ? string : number>
    : Place extends `${string} ${string}`
      ? unknown
      : Record<Place, string | Quantity | Message>;

/** What a template must be given. What stands in the branch of a choice begins with a mark or a space, or holds a space: one word alone would count as a place. */
type ArgsOf<Template extends string> = Template extends `${string}{${infer Rest}`
  ? Rest extends `${infer Place}}${infer Tail}`
    ? Place extends `${infer Head}{${infer Inner}`
      ? ArgOf<Head> & ArgsOf<`{${Inner}}${Tail}`>
      : ArgOf<Place> & ArgsOf<Tail>
    : unknown
  : unknown;

type Given<Template extends string> = unknown extends ArgsOf<Template> ? [] : [args: { readonly [Name in keyof ArgsOf<Template>]: ArgsOf<Template>[Name] }];

/** Says sentences of a list of templates, each by its code. */
export type Speaker<Templates extends Readonly<Record<string, string>>> = <Code extends keyof Templates & string>(
  code: Code,
  ...given: Given<Templates[Code]>
) => Message;

/**
 * Says sentences of a list of templates, each by its code.
 *
 * @example speaker({ 'too-warm': 'It is at {coreC, number, C}.' })('too-warm', { coreC: 54.44 }).message // 'It is at 54 °C.'
 */
export const speaker =
  <const Templates extends Readonly<Record<string, string>>>(templates: Templates): Speaker<Templates> =>
  (code, ...given) => {
    const [args = {}] = given as [MessageArgs?];
    return { code, args, message: writtenOut(templates[code] as string, args, PLAIN, ({ message }) => message) };
  };

/**
 * A template with everything in its place, as somebody reads it.
 *
 * @param within how a sentence within it is said
 */
export function writtenOut(template: string, args: MessageArgs, reader: Reader, within: (message: Message) => string): string {
  // Most are said as they stand: no place, no mark that the parser reads.
  if (template.search(/[{}'#<]/) < 0) return template;
  const values = Object.fromEntries(Object.entries(args).map(([name, arg]) => [name, typeof arg === 'object' ? said(arg, reader, within) : arg]));
  // A sentence within it may be empty.
  return String(formatOf(template, reader).format(values)).replace(/ {2,}/g, ' ').trim();
}

const said = (arg: Quantity | Message, reader: Reader, within: (message: Message) => string): string =>
  'code' in arg ? within(arg) : quantityAsGiven(arg, reader);

/** Templates that were read, by how somebody reads: whoever reads alike shares them. */
const known = new Map<string, Map<string, IntlMessageFormat>>();
const knownTo = new WeakMap<Reader, Map<string, IntlMessageFormat>>();

function formatsOf(reader: Reader): Map<string, IntlMessageFormat> {
  const before = knownTo.get(reader);
  if (before !== undefined) return before;
  const key = Object.values(reader).join('|');
  const own = known.get(key) ?? new Map<string, IntlMessageFormat>();
  known.set(key, own);
  knownTo.set(reader, own);
  return own;
}

function formatOf(template: string, reader: Reader): IntlMessageFormat {
  const own = formatsOf(reader);
  const before = own.get(template);
  if (before !== undefined) return before;
  const made = new IntlMessageFormat(template, 'en', PLACES, { formatters: writersFor(reader) });
  own.set(template, made);
  return made;
}

/** The names that may stand in a place after `number` or `time`; each comes to its writer below. */
const named = <Name extends string>(names: readonly Name[]) => Object.fromEntries(names.map((name) => [name, { style: name }]));
const PLACES = { number: named(QUANTITY_STYLES), time: named(INSTANT_STYLES) } as unknown as Partial<Formats>;

/** Made once: making one costs as much as a thousand sentences. */
const rules = new Map<string, Intl.PluralRules>();
function pluralRules(locale: string, options: Intl.PluralRulesOptions = {}): Intl.PluralRules {
  const key = `${locale} ${options.type ?? ''}`;
  const made = rules.get(key) ?? new Intl.PluralRules(locale, options);
  rules.set(key, made);
  return made;
}

/** The places of a template are written by us, in the words of the reader; what is singular and what plural the language says. */
const writersFor = (reader: Reader): Formatters =>
  ({
    // The number of a plural, `#`, comes without a style.
    getNumberFormat: (_locale: string, place?: { style: QuantityStyle }) => ({
      format: (value: number) => writtenQuantity(value, place?.style ?? 'n', reader),
    }),
    getDateTimeFormat: (_locale: string, place: { style: InstantStyle }) => ({ format: (at: number) => writtenInstant(at, place.style, reader) }),
    getPluralRules: pluralRules,
  }) as unknown as Formatters;

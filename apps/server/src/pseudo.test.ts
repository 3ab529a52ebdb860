import {
  BENCH_SCHOOLS,
  bookLines,
  checkEntry,
  deviations,
  ENGLISH,
  nameSaid,
  packLabel,
  PASTED_WORDS,
  pitWatch,
  PLAIN,
  PRODUCTS,
  QUESTIONS,
  RECIPE_NUMBER_NAMES,
  replay,
  SHEET_WORDS,
  usualSheet,
  whatIfs,
  wordsOfStep,
  workOut,
  type BatchRecord,
  type LogEntry,
  type Message,
} from '@bunkhouse/core';
import { toDesign } from '@bunkhouse/api';
import { API_WORDS } from '@bunkhouse/api/words';
import { demoHouse, processOfRequest } from '@bunkhouse/demo';
import { sayTo } from '@bunkhouse/words';

/** A language that nobody speaks: every letter of a template stands in it in another alphabet. What is read in ours was never said by it. */
const WIDE = 0xfee0;
function pseudo(template: string): string {
  let depth = 0;
  return [...template]
    .map((sign) => {
      if (sign === '{') depth += 1;
      if (sign === '}') depth -= 1;
      // In the branch of a choice there is text again.
      return depth % 2 === 0 && /[A-Za-z]/.test(sign) ? String.fromCodePoint(sign.charCodeAt(0) + WIDE) : sign;
    })
    .join('');
}

const WORDS: Readonly<Record<string, string>> = { ...ENGLISH, ...PASTED_WORDS, ...SHEET_WORDS, ...API_WORDS };
const PSEUDO = Object.fromEntries(Object.entries(WORDS).map(([code, template]) => [code, pseudo(template)]));
const say = sayTo(PLAIN, PSEUDO);

/** Signs of units, months, and hours: written by the reader's own words elsewhere. */
const SIGNS = /\b(ppm|min|days?|mm|mL|kg|g|oz|lb|log|Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sept?|Oct|Nov|Dec)\b|°Bé/g;

/** What is read in our alphabet, but for what somebody wrote himself. */
function left(message: Message, own: readonly string[]): string {
  const said = own.reduce((text, written) => text.replaceAll(written, ''), say(message));
  return said.replace(SIGNS, '').match(/[A-Za-z]{2,}.*/)?.[0] ?? '';
}

/** Every message in whatever core answers. */
function messagesIn(value: unknown, found: Message[] = [], seen = new Set<object>()): Message[] {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value) || seen.has(value)) return found;
  seen.add(value);
  const { code, args, message } = value as Partial<Message>;
  if (typeof code === 'string' && typeof message === 'string' && typeof args === 'object') found.push({ code, args, message });
  for (const part of value instanceof Map ? value.values() : Object.values(value)) messagesIn(part, found, seen);
  return found;
}

const stringsIn = (value: unknown): string[] =>
  typeof value === 'string' ? [value] : typeof value === 'object' && value !== null ? Object.values(value).flatMap(stringsIn) : [];

/** By length, so that what is part of another goes after it. */
const unsaid = (messages: readonly Message[], own: readonly string[]): string[] => {
  const texts = [...new Set(own)].filter((text) => text !== '').sort((a, b) => b.length - a.length);
  return [...new Set(messages.flatMap((message) => (left(message, texts) === '' ? [] : [`${message.code}: ${message.message}`])))];
};

const now = Date.parse('2026-11-23T14:20:00Z');
const records = demoHouse(now).batches.map(({ request, entries }): BatchRecord => ({
  id: request.id,
  code: 'H-100',
  design: toDesign(request),
  process: processOfRequest(request),
  entries: entries.map((entry, i) => ({ ...entry, seq: i + 1, recordedAt: entry.at }) as LogEntry),
}));

/** What its cooks wrote: names of recipes, phases, cures and spices, how it is trimmed, why something was done. Not what its steps say. */
const ownOf = ({ process: { steps, name, program = [], usual, ...rest }, design, entries, code }: BatchRecord): string[] => [
  code,
  name,
  ...(steps[0]?.task.split(' Weigh each piece.')[0] ?? '').split('. '),
  ...program.map((phase) => phase.name),
  ...(usual.spices ?? []).flatMap((spice) => [spice.name, (spice.name.split(',')[0] ?? '').toLowerCase()]),
  design.cure.name,
  ...stringsIn(rest),
  ...entries.flatMap(({ by, reason = '' }) => [by, reason]),
];

test('nothing that core says of a batch is left unsaid in another language', () => {
  expect(records.length).toBeGreaterThan(20);
  const found = records.flatMap((record) => {
    const state = replay(record, now);
    const said = messagesIn([
      state,
      bookLines(record, state),
      deviations(record, state),
      packLabel(record, state),
      whatIfs(record, state, now),
      pitWatch(state, record.process, [], now),
      state.steps.map(({ spec }) => [
        wordsOfStep(spec, record.process),
        ...[
          spec.title,
          spec.act,
          ...spec.inputs.flatMap((input) => [input.label, ...(input.kind === 'choice' ? input.options.map(({ label }) => label) : [])]),
        ].map(nameSaid),
        checkEntry(record, { kind: 'done', id: record.id, stepId: spec.id, values: {}, at: new Date(now).toISOString(), by: 'Ines' }, now),
        checkEntry(record, { kind: 'skipped', id: record.id, stepId: spec.id, reason: '', at: new Date(now).toISOString(), by: 'Ines' }, now),
      ]),
    ]);
    expect(said.length).toBeGreaterThan(50);
    return unsaid(said, ownOf(record));
  });
  expect([...new Set(found)]).toEqual([]);
});

test('nor of a sheet, or of what somebody pasted', () => {
  const texts = [
    '2 cups salt\n1 gal water\n1,500 g sugar\n4 tsp pink salt',
    '1 l water, 80 g curing salt',
    'a handful of salt, 5 lb brisket',
    '10 oz cure per day',
  ];
  const sheets = [
    ...PRODUCTS.flatMap((product) => BENCH_SCHOOLS.map((school) => ({ ...usualSheet(product), school }))),
    ...texts.map((text) => ({ ...usualSheet('pastrami'), door: 'have' as const, text })),
  ];
  const said = messagesIn([sheets.map((sheet) => workOut(sheet)), QUESTIONS, RECIPE_NUMBER_NAMES]);
  expect(said.length).toBeGreaterThan(500);
  const own = [...sheets.flatMap((sheet) => stringsIn(sheet.cure)), ...texts.flatMap((text) => text.split(/[\n,]+ ?/))];
  expect(unsaid(said, own)).toEqual([]);
});

test('nor of a request: each rule and each refusal stands in its template', () => {
  const letters = Object.entries(API_WORDS).flatMap(([code, template]) => (/^[^{]*[A-Za-z]/.test(pseudo(template)) ? [code] : []));
  expect(letters).toEqual([]);
});

test('a sentence of no template is found', () => {
  const plain: Message = { code: 'as-written', args: { text: 'Turn it over.' }, message: 'Turn it over.' };
  expect(unsaid([plain], [])).toEqual(['as-written: Turn it over.']);
  expect(unsaid([plain], ['Turn it over.'])).toEqual([]);
  expect(unsaid([{ code: 'own-task', args: { task: plain, own: plain }, message: '' }], [])).toHaveLength(1);
});

import { isPumped } from '../batch/design.js';
import { HOUR_MS } from '../clock/spans.js';
import type { AnyInputName } from '../steps/values.js';
import type { SingleStepId } from '../log/stepId.js';
import { isByTheClock } from '../batch/design.js';
import { sum } from '../batch/batchFacts.js';
import { programSaid } from '../recipes/cookProgram.js';
import type { StandingEntry } from '../log/standingEntries.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState, Closing } from '../batch/batchState.js';
import { atTableSaid } from '../steps/handActSaid.js';
import type { Station } from '../steps/station.js';
import type { CookProgram } from '../log/cookProgram.js';
import { thicknessMm } from '../section/section.js';
import { bookSays } from '../say/english/book.js';
import { asWritten } from '../say/asWritten.js';
import type { Message } from '../say/message.js';
import { deviations } from './deviations.js';

/** What a number of the book is of: how it is shown. */
export type BookUnit = 'g' | 'mm' | 'C' | '%' | 'ppm' | 'd' | 'h' | 'min' | 'count';

/** One line of the book about a batch: planned beside actual. Null where nothing is known. */
export interface BookLine {
  key: string;
  station: Station;
  name: string;
  /** the name, to be said to whoever reads */
  said: Message;
  unit: BookUnit | null;
  planned: BookValue;
  actual: BookValue;
}

/** A number, one of a choice, or what is said. */
type BookValue = number | string | Message | null;

const LINE_CODES = {
  recipe: 'record-recipe',
  pieces: 'record-pieces',
  green: 'record-green',
  trim: 'record-trim',
  through: 'record-through',
  school: 'record-school',
  salt: 'record-salt',
  sugar: 'record-sugar',
  nitrite: 'record-nitrite',
  pump: 'record-pump',
  days: 'record-days',
  pulled: 'record-pulled',
  cold: 'record-cold',
  soak: 'record-soak',
  taste: 'record-taste',
  dry: 'record-dry',
  dried: 'record-dried',
  program: 'record-program',
  fire: 'record-fire',
  core: 'record-core',
  'gate 1': 'record-gate-1',
  'gate 2': 'record-gate-2',
  packed: 'record-packed',
  yield: 'record-yield',
  'cold core': 'record-cold-core',
  table: 'record-table',
  deviations: 'record-deviations',
} as const;
type LineKey = keyof typeof LINE_CODES;

/** Everything about a batch that may differ from another, in the order of the work. */
export function bookLines(record: BatchRecord, state: BatchState): BookLine[] {
  const { process } = record;
  const { design, facts, figures, standing } = state;
  const { closing } = state;
  const planned = replay({ ...record, entries: [] }, Date.parse(record.design.startsAt));
  const hours = (from: SingleStepId, to: SingleStepId): number | null => {
    const [a, b] = [closing(from), closing(to)];
    return a === null || b === null || a.kind === 'skipped' || b.kind === 'skipped' ? null : (Date.parse(b.at) - Date.parse(a.at)) / HOUR_MS;
  };
  const plannedHours = (from: SingleStepId, to: SingleStepId): number | null => {
    const at = (id: SingleStepId) => planned.step(id)?.plannedAt;
    const [a, b] = [at(from), at(to)];
    return a === undefined || b === undefined ? null : (b - a) / HOUR_MS;
  };
  const { school } = design;
  const pumped = figures.pump.filter(({ weighed }) => weighed).map(({ percent }) => percent.value);
  const line = (station: Station, key: LineKey, unit: BookUnit | null, plan: BookValue, actual: BookValue): BookLine => {
    const said = bookSays(LINE_CODES[key]);
    return { key, station, name: said.message, said, unit, planned: plan, actual };
  };
  const whole = (values: Record<string, number>) => (Object.keys(values).length === 0 ? null : sum(values));
  const curedH = hours('meat-in', 'pull');
  const soakedH = hours('soak-in', 'soak-out');
  const plannedSoakH = plannedHours('soak-in', 'soak-out');
  const core = closing('core');
  return [
    line('prep', 'recipe', null, null, recipeSaid(process)),
    line('prep', 'pieces', 'count', record.design.pieces.length, state.pieces.length),
    line('prep', 'green', 'g', sum(planned.facts.greenG), facts.greenWeighed ? sum(facts.keptGreenG) : null),
    line('prep', 'trim', 'g', null, facts.trimmedOffG > 0 ? facts.trimmedOffG : null),
    line('prep', 'through', 'mm', null, Math.max(...design.pieces.map(({ section }) => thicknessMm(section)))),
    line('cure', 'school', null, record.design.school.kind, school.kind),
    line(
      'cure',
      'salt',
      '%',
      isByTheClock(record.design.school) ? null : record.design.saltPercent,
      facts.brines.every(({ weighed }) => weighed) ? figures.salt.value : null,
    ),
    line('cure', 'sugar', '%', record.design.sugarPercent, null),
    line('cure', 'nitrite', 'ppm', record.design.nitritePpm, facts.brines.some(({ weighed }) => weighed) ? figures.nitrite.applies.value : null),
    line('cure', 'pump', '%', isPumped(school) ? school.pumpPercent + school.repumpPercent : null, mean(pumped)),
    line('cure', 'days', 'd', record.design.cureDays, curedH === null ? null : curedH / 24),
    line('cure', 'pulled', 'g', null, whole(facts.pulledG)),
    line('cure', 'cold', 'C', design.coldC ?? null, extreme(standing, 'coldC', Math.max)),
    line('soak', 'soak', 'min', plannedSoakH === null ? null : plannedSoakH * 60, soakedH === null ? null : soakedH * 60),
    line('soak', 'taste', null, null, lastTaste(standing)),
    line('dry', 'dry', 'h', plannedHours('rack', 'pellicle'), hours('rack', 'pellicle')),
    line('dry', 'dried', 'g', null, whole(facts.driedG)),
    line('smoke', 'program', null, programSaid(process.program ?? []), programSaid(asRun(design.program ?? process.program ?? [], closing('raise')))),
    line('cook', 'fire', 'h', plannedHours('meat-on', 'core'), hours('meat-on', 'core')),
    line('cook', 'core', 'C', process.coreTargetC, core?.kind === 'done' ? lowest(state.step('core')?.read ?? core.values) : null),
    ...gateLines(state).map(({ key, limitH, actual }) => line('chill', key, 'h', limitH, actual)),
    line('pack', 'packed', 'g', null, facts.packedG),
    line('pack', 'yield', '%', packedShare(process.usual.packedShare), figures.yield?.value ?? null),
    line('pack', 'cold core', 'C', null, warmestAt(closing('pack'))),
    line('pack', 'table', null, null, lastAtTable(standing)),
    // Turns that nobody logged are named in the record; whether they were made nobody knows.
    line('pack', 'deviations', 'count', null, deviations(record, state).filter(({ kind }) => kind !== 'missed').length),
  ];
}

/** The two gates, each by its slowest piece: hours where all are proven, else what the worst of them is. */
function gateLines({ cooling }: BatchState): { key: LineKey; limitH: number; actual: BookValue }[] {
  const steps = [...new Set(cooling.map(({ stepId }) => stepId))];
  return steps.map((stepId, i) => {
    const own = cooling.filter((gate) => gate.stepId === stepId);
    const isProven = own.every(({ tookH }) => tookH !== null);
    return {
      key: i === 0 ? 'gate 1' : 'gate 2',
      limitH: Math.min(...own.map(({ limitH }) => limitH)),
      actual: isProven ? Math.max(...own.map(({ tookH }) => tookH ?? 0)) : own.some(({ state }) => state === 'notShown') ? bookSays('not-shown') : null,
    };
  });
}

/** Lines of several batches side by side, in the order of the work; `differs` where what was planned or what happened is not the same in all. */
export function sideBySide(
  batches: readonly (readonly BookLine[])[],
): (Omit<BookLine, 'planned' | 'actual'> & { cells: Pick<BookLine, 'planned' | 'actual'>[]; differs: boolean })[] {
  const keys = [...new Set(batches.flatMap((lines) => lines.map(({ key }) => key)))];
  return keys.flatMap((key) => {
    const found = batches.map((lines) => lines.find((line) => line.key === key));
    const one = found.find((line) => line !== undefined);
    if (one === undefined) return [];
    const cells = found.map((line) => ({ planned: line?.planned ?? null, actual: line?.actual ?? null }));
    const said = new Set(cells.map(({ planned, actual }) => `${shownSame(planned)} ${shownSame(actual)}`));
    return [{ key, station: one.station, name: one.name, said: one.said, unit: one.unit, cells, differs: said.size > 1 }];
  });
}

/** Numbers that are shown alike are alike. */
const shownSame = (value: BookValue): string => (typeof value === 'number' ? value.toPrecision(3) : typeof value === 'object' ? (value?.message ?? '') : value);

const mean = (values: readonly number[]): number | null => (values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length);

const packedShare = (share: { low: number; high: number } | undefined): Message | null =>
  share === undefined ? null : bookSays('share-range', { low: share.low * 100, high: share.high * 100 });

const recipeSaid = ({ name, recipe }: BatchRecord['process']): Message =>
  recipe === undefined ? asWritten(name) : bookSays('recipe-version', { name, version: recipe.version });

const numbers = (standing: readonly StandingEntry[], name: AnyInputName): number[] =>
  standing.flatMap((entry) => (entry.kind === 'done' && typeof entry.values[name] === 'number' ? [entry.values[name]] : []));

function extreme(standing: readonly StandingEntry[], name: AnyInputName, pick: (...values: number[]) => number): number | null {
  const found = numbers(standing, name);
  return found.length === 0 ? null : pick(...found);
}

const lastTaste = (standing: readonly StandingEntry[]): string | null =>
  standing.flatMap((entry) => (entry.kind === 'done' && typeof entry.values.taste === 'string' ? [entry.values.taste] : [])).at(-1) ?? null;

/** A heat that was not raised stayed as it was. */
const asRun = (program: CookProgram, raised: Closing<'raise'> | null): CookProgram =>
  raised?.kind === 'skipped' && program.length > 1 ? program.slice(0, -1) : program;

/** What was said at table last, of all of it or of one piece. */
function lastAtTable(standing: readonly StandingEntry[]): Message | null {
  const last = standing.findLast((entry) => entry.kind === 'act' && entry.event.act === 'table');
  return last?.kind === 'act' ? atTableSaid(last.event, last.reason ?? '') : null;
}

/** The warmest core at a step, of one piece or several. */
function warmestAt(entry: Closing<'pack'> | null): number | null {
  if (entry?.kind !== 'done') return null;
  const read = Object.entries(entry.values).flatMap(([name, C]) => (/^coreC(?::|$)/.test(name) && typeof C === 'number' ? [C] : []));
  return read.length === 0 ? null : Math.max(...read);
}

function lowest(values: Readonly<Record<string, number | string | undefined>>): number | null {
  const found = Object.entries(values).flatMap(([name, value]) => (/^instant\dC(?::|$)/.test(name) && typeof value === 'number' ? [value] : []));
  return found.length === 0 ? null : Math.min(...found);
}

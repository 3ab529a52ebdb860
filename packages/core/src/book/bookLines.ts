import { HOUR_MS } from '../clock/spans.js';
import type { AnyInputName } from '../steps/values.js';
import type { SingleStepId } from '../log/stepId.js';
import { isByTheClock } from '../batch/design.js';
import { sum } from '../batch/batchFacts.js';
import { programText } from '../recipes/cookProgram.js';
import type { StandingEntry } from '../log/standingEntries.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState, Closing } from '../batch/batchState.js';
import type { Station } from '../steps/station.js';
import { thicknessMm } from '../section/section.js';
import { deviations } from './deviations.js';

/** What a number of the book is of: how it is shown. */
export type BookUnit = 'g' | 'mm' | 'C' | '%' | 'ppm' | 'd' | 'h' | 'min' | 'count';

/** One line of the book about a batch: planned beside actual. Null where nothing is known. */
export interface BookLine {
  key: string;
  station: Station;
  name: string;
  unit: BookUnit | null;
  planned: number | string | null;
  actual: number | string | null;
}

/** Everything about a batch that may differ from another, in the order of the work. */
export function bookLines(record: BatchRecord, state: BatchState): BookLine[] {
  const { process } = record;
  const { design, facts, figures, standing } = state;
  const { closing } = state;
  const planned = replay({ ...record, entries: [] }, Date.parse(record.design.startsAt));
  const hours = (from: SingleStepId, to: SingleStepId): number | null => {
    const [a, b] = [closing(from), closing(to)];
    return a === null || b === null || a.kind === 'skipped' ? null : (Date.parse(b.at) - Date.parse(a.at)) / HOUR_MS;
  };
  const plannedHours = (from: SingleStepId, to: SingleStepId): number | null => {
    const at = (id: SingleStepId) => planned.step(id)?.plannedAt;
    const [a, b] = [at(from), at(to)];
    return a === undefined || b === undefined ? null : (b - a) / HOUR_MS;
  };
  const { school } = design;
  const pumped = figures.pump.filter(({ weighed }) => weighed).map(({ percent }) => percent.value);
  const line = (station: Station, key: string, name: string, unit: BookUnit | null, plan: BookLine['planned'], actual: BookLine['actual']): BookLine => ({
    key,
    station,
    name,
    unit,
    planned: plan,
    actual,
  });
  const whole = (values: Record<string, number>) => (Object.keys(values).length === 0 ? null : sum(values));
  const curedH = hours('meat-in', 'pull');
  const soakedH = hours('soak-in', 'soak-out');
  const plannedSoakH = plannedHours('soak-in', 'soak-out');
  const core = closing('core');
  return [
    line('prep', 'recipe', 'Recipe', null, null, `${process.name}${process.recipe === undefined ? '' : `, version ${process.recipe.version}`}`),
    line('prep', 'pieces', 'Pieces', 'count', record.design.pieces.length, state.pieces.length),
    line('prep', 'green', 'Green weight', 'g', sum(planned.facts.greenG), facts.greenWeighed ? sum(facts.keptGreenG) : null),
    line('prep', 'trim', 'Cut away', 'g', null, facts.trimmedOffG > 0 ? facts.trimmedOffG : null),
    line('prep', 'through', 'Thickest', 'mm', null, Math.max(...design.pieces.map(({ section }) => thicknessMm(section)))),
    line('cure', 'school', 'School', null, record.design.school.kind, school.kind),
    line(
      'cure',
      'salt',
      'Salt when even',
      '%',
      isByTheClock(record.design.school) ? null : record.design.saltPercent,
      facts.brines.every(({ weighed }) => weighed) ? figures.salt.value : null,
    ),
    line('cure', 'sugar', 'Sugar, of meat and water', '%', record.design.sugarPercent, null),
    line(
      'cure',
      'nitrite',
      'Nitrite, ingoing',
      'ppm',
      record.design.nitritePpm,
      facts.brines.some(({ weighed }) => weighed) ? figures.nitrite.applies.value : null,
    ),
    line('cure', 'pump', 'Pumped, of green', '%', school.kind === 'pumpAndCover' ? school.pumpPercent + school.repumpPercent : null, mean(pumped)),
    line('cure', 'days', 'Days of cure', 'd', record.design.cureDays, curedH === null ? null : curedH / 24),
    line('cure', 'pulled', 'Pulled weight', 'g', null, whole(facts.pulledG)),
    line('cure', 'cold', 'Refrigerator, warmest read', 'C', design.coldC ?? null, extreme(standing, 'coldC', Math.max)),
    line('soak', 'soak', 'Soak', 'min', plannedSoakH === null ? null : plannedSoakH * 60, soakedH === null ? null : soakedH * 60),
    line('soak', 'taste', 'Fried slice, last word', null, null, lastTaste(standing)),
    line('dry', 'dry', 'Drying', 'h', plannedHours('rack', 'pellicle'), hours('rack', 'pellicle')),
    line('dry', 'dried', 'Dried weight', 'g', null, whole(facts.driedG)),
    line('smoke', 'program', 'Program', null, programText(process.program ?? []), programText(design.program ?? process.program ?? [])),
    line('cook', 'fire', 'On the fire', 'h', plannedHours('meat-on', 'core'), hours('meat-on', 'core')),
    line('cook', 'core', 'Core, lowest place', 'C', process.coreTargetC, core?.kind === 'done' ? lowest(state.step('core')?.read ?? core.values) : null),
    ...gateLines(state).map(({ key, name, limitH, actual }) => line('chill', key, name, 'h', limitH, actual)),
    line('pack', 'packed', 'Packed weight', 'g', null, facts.packedG),
    line('pack', 'yield', 'Yield, of green', '%', packedShare(process.usual.packedShare), figures.yield?.value ?? null),
    line('pack', 'cold core', 'Core before slicing', 'C', null, warmestAt(closing('pack'))),
    line('pack', 'deviations', 'Deviations', 'count', null, deviations(record, state).length),
  ];
}

/** The two gates, each by its slowest piece: hours where all are proven, else what the worst of them is. */
function gateLines({ cooling }: BatchState): { key: string; name: string; limitH: number; actual: number | string | null }[] {
  const steps = [...new Set(cooling.map(({ stepId }) => stepId))];
  return steps.map((stepId, i) => {
    const own = cooling.filter((gate) => gate.stepId === stepId);
    const isProven = own.every(({ tookH }) => tookH !== null);
    return {
      key: `gate ${i + 1}`,
      name: i === 0 ? 'First chill gate' : 'Second chill gate',
      limitH: Math.min(...own.map(({ limitH }) => limitH)),
      actual: isProven ? Math.max(...own.map(({ tookH }) => tookH ?? 0)) : own.some(({ state }) => state === 'notShown') ? 'not shown' : null,
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
    return [{ key, station: one.station, name: one.name, unit: one.unit, cells, differs: said.size > 1 }];
  });
}

/** Numbers that are shown alike are alike. */
const shownSame = (value: number | string | null): string => (typeof value === 'number' ? value.toPrecision(3) : String(value));

const mean = (values: readonly number[]): number | null => (values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length);

const packedShare = (share: { low: number; high: number } | undefined): string | null =>
  share === undefined ? null : `${Math.round(share.low * 100)} to ${Math.round(share.high * 100)}`;

const numbers = (standing: readonly StandingEntry[], name: AnyInputName): number[] =>
  standing.flatMap((entry) => (entry.kind === 'done' && typeof entry.values[name] === 'number' ? [entry.values[name]] : []));

function extreme(standing: readonly StandingEntry[], name: AnyInputName, pick: (...values: number[]) => number): number | null {
  const found = numbers(standing, name);
  return found.length === 0 ? null : pick(...found);
}

const lastTaste = (standing: readonly StandingEntry[]): string | null =>
  standing.flatMap((entry) => (entry.kind === 'done' && typeof entry.values.taste === 'string' ? [entry.values.taste] : [])).at(-1) ?? null;

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

import { nameSaid } from '../say/english/names.js';
import { checkSays } from '../say/english/check.js';
import type { Message } from '../say/message.js';
import { numberFault, type NumberRule } from '../units/require.js';
import type { Piece } from '../log/batchDesign.js';
import { hasReason } from './entryDraft.js';
import { faultAt, type EntryFault } from '../log/entryFault.js';
import { inputNames, isReadOfEach } from '../steps/gates.js';
import type { StepValues } from '../log/logEntry.js';
import { readOf, situationOf, temperatureFaults } from './temperatureFaults.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import type { StepInput, StepSpec } from '../steps/step.js';

/** What is wrong with the values of a step: not asked for, missing, no number, nothing that can be read there. */
export function valueFaults(
  spec: StepSpec,
  state: BatchState,
  record: BatchRecord,
  pieces: readonly Piece[],
  { values, reason }: { values: StepValues; reason?: string },
): EntryFault[] {
  const known = new Map(spec.inputs.flatMap((input) => inputNames(input, pieces).map((name): [string, StepInput] => [name, input])));
  const strange = Object.keys(values)
    .filter((name) => !known.has(name))
    .map((name) => faultAt(`values.${name}`, checkSays('not-asked')));
  const wrong = [...known].flatMap(([name, input]): EntryFault[] => {
    const value = Object.hasOwn(values, name) ? values[name] : undefined;
    const label =
      name.includes(':') && pieces.length > 1
        ? checkSays('of-piece', { input: nameSaid(input.label), piece: name.split(':')[1] ?? '' })
        : nameSaid(input.label);
    const fault = inputFault(input, label, value, isReadOfEach(input, pieces), mayBeUnread(spec, input) ? hasReason(reason) : null);
    if (fault !== null) return [faultAt(`values.${name}`, fault)];
    if (input.kind !== 'temperature' || typeof value !== 'number') return [];
    const of = readOf(spec, input);
    return temperatureFaults(`values.${name}`, label, value, of, situationOf(spec, of, state, record.process), hasReason(reason));
  });
  const each = spec.inputs.filter((input) => isReadOfEach(input, pieces) && input.optional !== true);
  const isUnread = each.length > 0 && each.every((input) => inputNames(input, pieces).every((name) => values[name] === undefined));
  return [...strange, ...wrong, ...(isUnread && wrong.length === 0 && !hasReason(reason) ? [faultAt('entry', checkSays('none-read'))] : [])];
}

const HEAVIEST_G = 100_000;
const DEEPEST_MM = 300;

/** Whether the truth may be that nobody read it. What the dose is worked out from is weighed. */
const mayBeUnread = (spec: StepSpec, input: StepInput): boolean => input.kind !== 'mass' || spec.id === 'pull' || spec.id === 'pack';

/** @param why whether it is written why nobody read it; null where it must be known */
function inputFault(input: StepInput, label: Message, value: number | string | undefined, isOneOfMany: boolean, why: boolean | null): Message | null {
  if (value === undefined) {
    if (input.optional || isOneOfMany || why === true) return null;
    return checkSays(why === null ? 'input-missing' : 'input-unread', { input: label });
  }
  if (input.kind === 'choice') return input.options.some((option) => option.value === value) ? null : checkSays('choose-one', { input: label });
  if (typeof value !== 'number' || !Number.isFinite(value)) return checkSays('input-no-number', { input: label });
  if (input.kind === 'depth') return numberFault(value, { min: 0, max: DEEPEST_MM, unit: 'mm' }, label);
  const rule: NumberRule =
    input.kind === 'temperature'
      ? { min: -273.15, max: 1000, unit: '°C' }
      : input.allowZero
        ? { min: 0, max: HEAVIEST_G, unit: 'g' }
        : { above: 0, max: HEAVIEST_G, unit: 'g' };
  const fault = numberFault(value, rule, label);
  return fault !== null && input.kind === 'mass' && value > HEAVIEST_G ? checkSays('grams-for-kilograms', { fault }) : fault;
}

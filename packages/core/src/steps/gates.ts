import type { Piece } from '../log/batchDesign.js';
import type { StepValues } from '../log/logEntry.js';
import type { Gate, StepInput, StepSpec } from './step.js';

type Coded = Pick<Piece, 'code'>;
/** Of which piece something else than a reading of its core proves what a gate asks. */
type Proven = (code: string) => boolean;
const nothing: Proven = () => false;

/**
 * The names under which a step's input is kept: one, or one for each piece. A temperature that is read of each piece bears no code where
 * only one is there.
 */
export const inputNames = (input: StepInput, pieces: readonly Coded[]): string[] =>
  isOfEach(input) && !(input.kind === 'temperature' && pieces.length === 1) ? pieces.map((piece) => `${input.name}:${piece.code}`) : [input.name];

const isOfEach = (input: StepInput): boolean => 'each' in input && input.each === 'piece';

/** Whether an input is read of each piece by itself: what was not read of one is no fault, and releases it of nothing. */
export const isReadOfEach = (input: StepInput, pieces: readonly Coded[]): boolean => input.kind === 'temperature' && isOfEach(input) && pieces.length > 1;

/** Of which piece a value was read: the code after its name, or the only piece that was there. */
export function pieceRead(name: string, pieces: readonly Coded[]): string | null {
  const code = name.split(':')[1];
  return code ?? (pieces.length === 1 ? (pieces[0]?.code ?? null) : null);
}

/** What was read of the pieces at looks before, with what is read now: a piece that is read again is read anew. */
export function readSoFar(spec: StepSpec, before: StepValues, values: StepValues): StepValues {
  const names = new Set(spec.inputs.flatMap((input) => (input.kind === 'temperature' && isOfEach(input) ? [input.name] : [])));
  const isOf = (name: string) => name.includes(':') && names.has(name.split(':')[0] ?? '');
  const again = new Set(Object.keys(values).flatMap((name) => (isOf(name) ? [name.split(':')[1]] : [])));
  const kept = Object.entries(before).filter(([name]) => isOf(name) && !again.has(name.split(':')[1]));
  return { ...Object.fromEntries(kept), ...values };
}

/** What a step asks for and nobody read, of any piece. */
export const unreadInputs = (step: StepSpec, values: StepValues, pieces: readonly Coded[]): StepInput[] =>
  step.inputs.filter((input) => input.optional !== true && inputNames(input, pieces).some((name) => values[name] === undefined));

/** Pieces of which a gate's inputs were not read at all, where each is to be read by itself. */
export function unreadPieces(step: StepSpec, gate: Gate, values: StepValues, pieces: readonly Coded[], isProven: Proven = nothing): string[] {
  const inputs = step.inputs.filter((input) => gate.inputs.includes(input.name));
  if (gate.onFail !== 'again' || !inputs.some((input) => isReadOfEach(input, pieces))) return [];
  return pieces.flatMap(({ code }) => (isProven(code) || gate.inputs.some((name) => values[`${name}:${code}`] !== undefined) ? [] : [code]));
}

/** Gates that a step's values do not pass. An input that was not given passes, but for a piece that nobody read. */
export function failedGates(step: StepSpec, values: StepValues, pieces: readonly Coded[], isProven: Proven = nothing): Gate[] {
  return step.gates.filter((gate) => failing(step, gate, values, pieces).length > 0 || unreadPieces(step, gate, values, pieces, isProven).length > 0);
}

/** Names of the values that do not pass a gate. */
function failing(step: StepSpec, gate: Gate, values: StepValues, pieces: readonly Coded[]): string[] {
  return gateNames(step, gate, pieces).filter((name) => fails(gate, values[name]));
}

const gateNames = (step: StepSpec, gate: Gate, pieces: readonly Coded[]): string[] =>
  gate.inputs.flatMap((name) => {
    const input = step.inputs.find((candidate) => candidate.name === name);
    return input === undefined ? [name] : inputNames(input, pieces);
  });

function fails(gate: Gate, value: number | string | undefined): boolean {
  if (value === undefined) return false;
  if (typeof value === 'string') return gate.oneOf !== undefined && !gate.oneOf.includes(value);
  return (gate.max !== undefined && value > gate.max) || (gate.min !== undefined && value < gate.min);
}

/** Whether an entry closes its step, or was only a look that leaves it open. A reason closes it over pieces that nobody read. */
export function closesStep(step: StepSpec, values: StepValues, reason: string | undefined, pieces: readonly Coded[], isProven: Proven = nothing): boolean {
  return failedGates(step, values, pieces, isProven).every(
    ({ onFail, ...gate }) => onFail === 'reason' || (onFail === 'again' && passesWithReason(step, { onFail, ...gate }, values, reason, pieces)),
  );
}

function passesWithReason(step: StepSpec, gate: Gate, values: StepValues, reason: string | undefined, pieces: readonly Coded[]): boolean {
  if (reason === undefined || reason.trim() === '') return false;
  const from = gate.reasonFrom;
  return failing(step, gate, values, pieces).every((name) => {
    const value = values[name];
    return from !== undefined && (typeof value !== 'number' || value >= from);
  });
}

import type { Piece } from './batchDesign.js';
import type { StepValues } from './logEntry.js';
import type { Gate, StepInput, StepSpec } from './step.js';

/** The names under which a step's input is kept: one, or one for each piece. */
export const inputNames = (input: StepInput, pieces: readonly Piece[]): string[] =>
  'each' in input && input.each === 'piece' ? pieces.map((piece) => `${input.name}:${piece.code}`) : [input.name];

/** Gates that a step's values do not pass. An input that was not given passes. */
export function failedGates(step: StepSpec, values: StepValues): Gate[] {
  return step.gates.filter((gate) => gate.inputs.some((name) => fails(gate, values[name])));
}

function fails(gate: Gate, value: number | string | undefined): boolean {
  if (value === undefined) return false;
  if (typeof value === 'string') return gate.oneOf !== undefined && !gate.oneOf.includes(value);
  return (gate.max !== undefined && value > gate.max) || (gate.min !== undefined && value < gate.min);
}

/** Whether an entry closes its step, or was only a look that leaves it open. */
export function closesStep(step: StepSpec, values: StepValues, reason: string | undefined): boolean {
  return failedGates(step, values).every((gate) => gate.onFail !== 'again' || passesWithReason(gate, values, reason));
}

function passesWithReason(gate: Gate, values: StepValues, reason: string | undefined): boolean {
  const from = gate.reasonFrom;
  if (from === undefined || reason === undefined || reason.trim() === '') return false;
  return gate.inputs.every((name) => {
    const value = values[name];
    return typeof value !== 'number' || value >= from;
  });
}

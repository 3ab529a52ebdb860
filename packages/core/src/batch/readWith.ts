import { checkAt, trueReading } from '../tools/correction.js';
import type { ToolCheck, ToolSize } from '../tools/tool.js';
import type { StepValues } from '../log/logEntry.js';
import type { PitEvent } from '../log/pitEvent.js';
import type { StepInput } from '../steps/step.js';
import type { ReadWith } from '../log/readWith.js';

/** A thermometer in the hand with its checks. */
export interface HandThermometer {
  id: string;
  name: string;
  size: ToolSize;
  checks: readonly ToolCheck[];
}

/** To a thousandth: what the log shows, and finer than any limit is. */
const toThousandth = (C: number): number => Math.round(C * 1000) / 1000;

/** What was truly read where a thermometer showed so much. Whatever is no number stays as it was typed. */
export function trulyRead({ size, checks }: HandThermometer, shown: number, atMs: number): number {
  const C = Number.isFinite(shown) ? trueReading(size, checks, shown, atMs) : shown;
  return C === shown ? shown : toThousandth(C);
}

/** The values of a step as they truly were: its temperatures corrected, all else as it was typed. */
export function readValues(
  thermometer: HandThermometer,
  inputs: readonly StepInput[],
  values: StepValues,
  atMs: number,
): { values: StepValues; read: ReadWith } | null {
  const temperatures = new Set(inputs.flatMap((input) => (input.kind === 'temperature' ? [input.name] : [])));
  const names = Object.keys(values).filter((name) => temperatures.has(name.split(':')[0] ?? '') && typeof values[name] === 'number');
  if (names.length === 0) return null;
  const shown = Object.fromEntries(names.map((name) => [name, Number(values[name])]));
  const isChecked = isCheckedAt(thermometer, atMs);
  const truly = Object.fromEntries(names.map((name) => [name, trulyRead(thermometer, Number(values[name]), atMs)]));
  return { values: { ...values, ...truly }, read: { tool: thermometer.id, name: thermometer.name, shown, isChecked } };
}

/** Whether what it shows was held against something known by then. */
const isCheckedAt = ({ checks }: HandThermometer, atMs: number): boolean => checkAt(checks, atMs) !== undefined;

/** The same for a check at the pit, and for the water of a bath. What the probe in the piece read is that probe's own. */
export function readEvent(thermometer: HandThermometer, event: PitEvent, atMs: number): { event: PitEvent; read: ReadWith } | null {
  if (event.act === 'bath')
    return {
      event: { ...event, waterC: trulyRead(thermometer, event.waterC, atMs) },
      read: { tool: thermometer.id, name: thermometer.name, shown: { water: event.waterC }, isChecked: isCheckedAt(thermometer, atMs) },
    };
  if (event.act !== 'check' || !Array.isArray(event.placesC)) return null;
  const shown = Object.fromEntries(event.placesC.map((C, i) => [`place${i + 1}`, C]));
  return {
    event: { ...event, placesC: event.placesC.map((C) => trulyRead(thermometer, C, atMs)) },
    read: { tool: thermometer.id, name: thermometer.name, shown, isChecked: isCheckedAt(thermometer, atMs) },
  };
}

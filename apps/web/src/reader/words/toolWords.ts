import type { ToolResponse } from '@bunkhouse/api';
import { CHECK_AFTER_DAYS, checkAt, checkPoints, FINE_OFF_C, type HydrometerScale, type ReadWith, type ToolKind, type ToolSize, DAY_MS } from '@bunkhouse/core';
import type { Preferences } from '../../reader/preferences';
import { digits, inWords } from '../quantities';

export const TOOL_WORDS: Readonly<Record<ToolKind, string>> = { thermometer: 'Thermometer', hydrometer: 'Hydrometer', scale: 'Scale', needle: 'Needle' };
export const FLOAT_WORDS: Readonly<Record<HydrometerScale, string>> = { salometer: 'Salometer, °', sg60F: 'Specific gravity', baume: 'Baumé, °' };

type Shown = Preferences;

/** A difference of temperatures: a degree Fahrenheit is smaller. */
export const degreesApart = (C: number, { temperature }: Shown): string => (temperature === 'F' ? `${digits(C * 1.8, 1)} °F` : `${digits(C, 1)} °C`);

/** The size that matters of a tool. */
export function sizeInWords(size: ToolSize, shown: Shown): string {
  switch (size.kind) {
    case 'thermometer':
      return `steps by ${degreesApart(size.stepC, shown)}`;
    case 'hydrometer':
      return `${FLOAT_WORDS[size.scale].replace(', °', '')}, right at ${inWords(size.calibrationC, 'temperature', shown)}`;
    case 'scale':
      return `steps by ${inWords(size.stepG, 'smallMass', shown)}, up to ${inWords(size.mostG, 'mass', shown)}`;
    case 'needle':
      return `${inWords(size.lengthMm, 'length', shown)}, ${size.holes === 1 ? '1 hole' : `${size.holes} holes`}`;
  }
}

/** How a tool stands: what it was off at its last check, and whether that is long ago. Null for what is not checked. */
export function checkInWords({ size, checks }: ToolResponse, now: number, shown: Shown): { said: string; isDue: boolean } | null {
  if (size.kind !== 'thermometer' && size.kind !== 'hydrometer') return null;
  const last = checkAt(checks, Infinity);
  if (last === undefined) return { said: 'never checked', isDue: true };
  const off = checkPoints(size, last.reading).map((point) => point.shown - point.should);
  const inOrder = size.kind === 'thermometer' && off.every((C) => Math.abs(C) <= FINE_OFF_C);
  const amount = (x: number) => (size.kind === 'thermometer' ? degreesApart(Math.abs(x), shown) : digits(Math.abs(x), size.scale === 'sg60F' ? 4 : 1));
  const places = size.kind === 'thermometer' ? placesOf(last.reading) : ['water'];
  const said = off.map((x, i) => (Math.abs(x) < 1e-9 ? `right in ${places[i] ?? ''}` : `${amount(x)} too ${x > 0 ? 'high' : 'low'} in ${places[i] ?? ''}`));
  return { said: `${said.join(', ')}${inOrder ? '' : ': corrected'}`, isDue: now - Date.parse(last.at) > CHECK_AFTER_DAYS * DAY_MS };
}

function placesOf(reading: ToolResponse['checks'][number]['reading']): string[] {
  if (reading.kind !== 'thermometer') return [];
  return [...(reading.iceC === undefined ? [] : ['ice']), ...(reading.boilC === undefined ? [] : ['boiling water'])];
}

/** With what an entry was read, and what it showed. */
export const readWithWords = ({ name, shown: showed }: ReadWith, shown: Shown): string =>
  `Read with ${name}, which showed ${Object.values(showed)
    .map((C) => inWords(C, 'temperature', shown))
    .join(', ')}`;

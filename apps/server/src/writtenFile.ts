import type { FileQuery } from '@bunkhouse/api';
import { convert } from '@bunkhouse/core';
import Papa from 'papaparse';

/** A cell that a spreadsheet would take for a formula: no number is one, below nothing neither. */
const FORMULA = /^(?!-?\d+([.,]\d+)?$)[=+\-@\t\r].*$/;

type Cell = string | number | null;

/** A file for a spreadsheet as somebody reads it: units, decimal sign, and what stands between the cells. */
export function writtenFile({ system, temperature, decimal }: FileQuery) {
  const comma = decimal === 'comma';
  const sign = (text: string) => (comma ? text.replace('.', ',') : text);
  const number = (value: number | null, places = 2): Cell => (value === null ? null : sign(String(Number(value.toFixed(places)))));
  return {
    number,
    /** with its places, were they noughts */
    fixed: (value: number, places: number) => sign(value.toFixed(places)),
    /** the unit that stands in a head, and a value in it */
    mass: system === 'us' ? { unit: 'lb', of: (g: number | null) => number(g === null ? null : convert(g, 'g', 'lb'), 3) } : { unit: 'g', of: number },
    length: system === 'us' ? { unit: 'in', of: (mm: number | null) => number(mm === null ? null : convert(mm, 'mm', 'in')) } : { unit: 'mm', of: number },
    perMass: system === 'us' ? { unit: 'lb', of: (price: number | null) => number(price === null ? null : price * 0.45359237) } : { unit: 'kg', of: number },
    temperature: temperature === 'F' ? { unit: 'F', shown: (C: number) => convert(C, 'C', 'F') } : { unit: 'C', shown: (C: number) => C },
    lines: (rows: readonly (readonly Cell[])[]): string =>
      `${Papa.unparse(
        rows.map((row) => [...row]),
        { delimiter: comma ? ';' : ',', newline: '\r\n', escapeFormulae: FORMULA },
      )}\r\n`,
  };
}

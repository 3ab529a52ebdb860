import type { Product } from '../products/product.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import type { SchoolKind } from '../log/school.js';
import { bookLines } from './bookLines.js';
import { borneLots, type Borne } from './materials.js';

/** An ended batch in a line. Weights in g, instants ISO, shares in %. */
export interface LedgerLine {
  id: string;
  code: string;
  name: string;
  product: Product;
  school: SchoolKind;
  recipe: { id: string; version: number } | null;
  /** the code of the batch that it was cut from */
  cutFrom: string | null;
  startedAt: string;
  endedAt: string;
  outcome: 'finished' | 'thrownAway';
  greenG: number;
  pulledG: number | null;
  packedG: number | null;
  yieldPercent: number | null;
  nitritePpm: number;
  pumpPercent: number | null;
  saltPercent: number;
  cureDays: number | null;
  thicknessMm: number;
  soakMin: number | null;
  taste: string | null;
  coreC: number | null;
  deviations: number;
  /** what it bears of its lots */
  borne: Borne[];
  by: string;
}

/** The line of a batch in the Ledger, or null while it lives. */
export function ledgerLine(record: BatchRecord, state: BatchState, by: string): LedgerLine | null {
  if (state.outcome === 'live' || state.endedAt === null) return null;
  const lines = new Map(bookLines(record, state).map((line) => [line.key, line.actual]));
  const number = (key: string): number | null => {
    const value = lines.get(key);
    return typeof value === 'number' ? value : null;
  };
  const taste = lines.get('taste');
  return {
    id: record.id,
    code: record.code,
    name: record.process.name,
    product: state.design.product,
    school: state.design.school.kind,
    recipe: record.process.recipe ?? null,
    cutFrom: record.origin?.code ?? null,
    startedAt: state.standing[0]?.at ?? state.design.startsAt,
    endedAt: new Date(state.endedAt).toISOString(),
    outcome: state.outcome,
    greenG: number('green') ?? Object.values(state.facts.keptGreenG).reduce((a, b) => a + b, 0),
    pulledG: number('pulled'),
    packedG: number('packed'),
    yieldPercent: number('yield'),
    nitritePpm: state.figures.nitrite.applies.value,
    pumpPercent: number('pump'),
    saltPercent: state.figures.salt.value,
    cureDays: number('days'),
    thicknessMm: number('through') ?? 0,
    soakMin: number('soak'),
    taste: typeof taste === 'string' ? taste : null,
    coreC: number('core'),
    deviations: number('deviations') ?? 0,
    borne: borneLots(state),
    by,
  };
}

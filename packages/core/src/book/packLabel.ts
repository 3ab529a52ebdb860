import type { BatchFacts } from '../batch/batchFacts.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { spicesOf } from '../batch/mixingSheet.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import { asWritten } from '../say/asWritten.js';
import { bookSays } from '../say/english/book.js';
import type { Message } from '../say/message.js';
import { productOf } from '../products/product.js';
import { sum } from '../batch/batchFacts.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import { pieceReleases } from '../pit/pieceReleases.js';
import type { ChannelReadings } from '../pit/pitWatch.js';

/** What stands on a pack, but for its net weight and its dates. */
export interface PackLabel {
  name: string;
  code: string;
  /** in falling order of weight */
  ingredients: Message[];
  /** one sentence each */
  keeping: Message[];
  /** days that it usually keeps, sealed in the refrigerator: a cautious default, for the cook to change */
  keepsDays: number;
}

/** What is not cured keeps as fresh cooked meat does [USDA consumer storage advice, value from memory]. */
const UNCURED_KEEPS = 3;

/** Of the green weight, where nobody weighed what came out of the brine: water is named all the same, behind the meat [T]. */
const UNWEIGHED_WATER = 0.05;

/** The label of a batch: ingredients by falling weight, with the water and the salt that it took up. */
export function packLabel(record: BatchRecord, state: BatchState, channels: readonly ChannelReadings[] = []): PackLabel {
  const { design, facts, figures } = state;
  const product = productOf(design.product);
  const green = sum(facts.greenG);
  const pulled = sum(facts.pulledG);
  const isCured = design.nitritePpm > 0;
  // Of the cook's own lines as they were weighed, by the share of the brine that the meat is of all.
  const bath = facts.brines.find(({ own }) => own !== undefined);
  const [ownLines, bathG] = [(bath?.own ?? []).filter(({ g }) => g > 0), bath?.brineG ?? 0];
  const share = (percent: number) => (percent / 100) * green;
  const parts: { said: Message; g: number }[] = [
    { said: bookSays(`meat-${product.meat}`), g: green },
    { said: bookSays('has-water'), g: pulled === 0 ? green * UNWEIGHED_WATER : Math.max(0, pulled - green) },
    { said: bookSays('has-salt'), g: share(figures.salt.value) },
    { said: bookSays('has-sugar'), g: sugarG(design, facts, green) },
    ...ownLines.map(({ name, g }) => ({ said: asWritten(plain(name)), g: (g * green) / (green + bathG) })),
    ...spicesOf(record.process, design).map(({ name, gPerKg }) => ({ said: asWritten(plain(name)), g: (gPerKg * green) / 1000 })),
    ...(isCured ? [{ said: bookSays('has-nitrite'), g: (figures.nitrite.applies.value * green) / 1e6 }] : []),
    ...(facts.brines.some(({ acceleratorG = 0 }) => acceleratorG > 0)
      ? [{ said: bookSays('has-ascorbate'), g: ((design.acceleratorPpm ?? 0) * green) / 1e6 }]
      : []),
    ...(isCured && design.cure.nitratePercent > 0
      ? [{ said: bookSays('has-nitrate'), g: (figures.nitrite.applies.value * green * design.cure.nitratePercent) / design.cure.nitritePercent / 1e6 }]
      : []),
  ];
  const released = pieceReleases(record, state, state.endedAt ?? Infinity, channels);
  // Every piece in the pack, each by its own readings.
  const isCooked = released.length > 0 && released.every(({ cooked }) => cooked === 'met') && !product.isFriedAgain;
  const isCuredThrough = isCured && released.every((piece) => piece.isCured);
  return {
    name: record.process.name,
    code: record.code,
    ingredients: parts
      .filter(({ g }) => g > 0)
      .sort((a, b) => b.g - a.g)
      .map(({ said }) => said),
    keeping: [
      bookSays('keep-cold', { mostC: LIMIT_C.cold }),
      bookSays(isCooked ? 'fully-cooked' : 'cook-first'),
      ...(isCuredThrough ? [] : [bookSays(isCured ? 'not-cured-through' : 'not-cured-at-all')]),
    ],
    keepsDays: isCuredThrough ? product.keepsDays : UNCURED_KEEPS,
  };
}

/** As it was aimed at; where the cure is dosed otherwise, what was weighed and what its mix brings, by the meat's share of all. */
function sugarG({ dose, sugarPercent, cure }: BatchDesign, { brines: [brine] }: BatchFacts, green: number): number {
  if (dose === undefined || brine === undefined) return (sugarPercent / 100) * green;
  return ((brine.sugarG + (brine.cureG * (cure.sugarPercent ?? 0)) / 100) * green) / (green + brine.brineG);
}

/** `Coriander seed, crushed` is `coriander seed` to who eats it. */
const plain = (name: string): string => (name.split(',')[0] ?? name).trim().toLowerCase();

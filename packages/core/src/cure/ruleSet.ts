import { productOf, type Product } from '../products/product.js';

export const RULE_SET_IDS = ['us', 'canada', 'eu', 'uk', 'house'] as const;
export type RuleSetId = (typeof RULE_SET_IDS)[number];

export type NitriteMethod = 'pumped' | 'immersion' | 'dry';

/** Limits of ingoing nitrite, ppm as NaNO2. */
export interface RuleSet {
  name: string;
  /** pumped or immersed, in general */
  limit: number;
  /** for bacon made of belly, pumped or immersed */
  bellyLimit: number;
  dryLimit: number;
  dryBellyLimit: number;
  /** under it a piece looks cured and is not protected */
  floor: number;
  /** the same for bacon made of belly, whose limit is lower; the general floor when not given */
  bellyFloor?: number;
  /** from this on meat counts as cured: for its chill gates, a slow smoke, its keeping; 100 when not given */
  curedPpm?: number;
  /** what a cook usually aims at under these rules [T] */
  usualTarget: number;
  source: string;
}

/** What the chill gates of a rule set want, where it names no floor of its own, ppm [M]. */
const GATE_FLOOR = 80;
/** Ingoing nitrite from which the longer chill gates hold, ppm [P: FSIS Appendix B, value from memory]. */
export const CURED_PPM = 100;

/**
 * Rule sets as data, from memory (docs/science.md, “Ingoing nitrite”). Shown always with "check your own code".
 * The US floor is the one for cured products kept refrigerated; the Canadian one the least that may go in.
 */
export const RULE_SETS: Record<Exclude<RuleSetId, 'house'>, RuleSet> = {
  us: {
    name: 'United States',
    limit: 200,
    bellyLimit: 120,
    dryLimit: 625,
    dryBellyLimit: 200,
    floor: 120,
    // Its limit is 120: a floor there would leave no room.
    bellyFloor: 100,
    usualTarget: 150,
    source: '9 CFR 424.21(c), 424.22(b); FSIS Processing Inspectors’ Calculations Handbook; value from memory',
  },
  canada: {
    name: 'Canada',
    limit: 200,
    bellyLimit: 120,
    dryLimit: 200,
    dryBellyLimit: 120,
    floor: 100,
    usualTarget: 150,
    source: 'Canadian food regulations, preserved meats; value from memory',
  },
  eu: {
    name: 'European Union',
    limit: 120,
    bellyLimit: 120,
    dryLimit: 120,
    dryBellyLimit: 120,
    floor: GATE_FLOOR,
    curedPpm: GATE_FLOOR,
    usualTarget: 115,
    source:
      'EU limit since October 2025, 80 mg/kg as nitrite ion = 120 as sodium nitrite; value from memory. Floor: that of the chill gates, a modelling choice',
  },
  uk: {
    name: 'United Kingdom',
    limit: 150,
    bellyLimit: 150,
    dryLimit: 150,
    dryBellyLimit: 150,
    floor: GATE_FLOOR,
    curedPpm: GATE_FLOOR,
    usualTarget: 130,
    source: 'UK limit, 150 mg/kg ingoing; value from memory. Floor: that of the chill gates, a modelling choice',
  },
};

/** Skin takes up nothing and is about 10 % of a belly's weight, so the limit on the whole weight is that much lower. */
const SKIN_SHARE = 0.1;

/** The limit that holds for a product made by a method, ppm. */
export function nitriteLimit(rules: RuleSet, product: Product, method: NitriteMethod, skinOn: boolean): number {
  if (productOf(product).limits !== 'belly') return method === 'dry' ? rules.dryLimit : rules.limit;
  const limit = method === 'dry' ? rules.dryBellyLimit : rules.bellyLimit;
  return skinOn ? limit * (1 - SKIN_SHARE) : limit;
}

/** The highest that any of the codes here allows, ppm: no house may set its own higher. */
const HIGHEST_CODE = {
  limit: Math.max(...Object.values(RULE_SETS).map(({ limit }) => limit)),
  bellyLimit: Math.max(...Object.values(RULE_SETS).map(({ bellyLimit }) => bellyLimit)),
  dryLimit: Math.max(...Object.values(RULE_SETS).map(({ dryLimit }) => dryLimit)),
  dryBellyLimit: Math.max(...Object.values(RULE_SETS).map(({ dryBellyLimit }) => dryBellyLimit)),
} as const;

/** Own limits as far as they hold: never over the highest code, and their source says so. */
export function withinTheCodes(house: RuleSet): RuleSet {
  const bounded = { ...house };
  for (const key of ['limit', 'bellyLimit', 'dryLimit', 'dryBellyLimit'] as const) bounded[key] = Math.min(house[key], HIGHEST_CODE[key]);
  const isBounded = (Object.keys(HIGHEST_CODE) as (keyof typeof HIGHEST_CODE)[]).some((key) => bounded[key] < house[key]);
  return isBounded
    ? { ...bounded, floor: Math.min(house.floor, bounded.limit), source: `${house.source}; bounded by the highest code that is known here` }
    : house;
}

/** The house’s own limits as a rule set. */
export function houseRules({ houseLimit, houseFloor }: { houseLimit: number; houseFloor: number }): RuleSet {
  return {
    name: 'House rules',
    limit: houseLimit,
    bellyLimit: houseLimit,
    dryLimit: houseLimit,
    dryBellyLimit: houseLimit,
    floor: houseFloor,
    usualTarget: Math.max(houseFloor, Math.floor(houseLimit * 0.75)),
    source: 'typed in by the house',
  };
}

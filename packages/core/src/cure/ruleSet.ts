import type { Product } from './product.js';

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
  /** what a cook usually aims at under these rules [T] */
  usualTarget: number;
  source: string;
}

/** Nitrite needed for colour alone [T]: the floor where a rule set names none. */
const COLOUR_FLOOR = 50;

/**
 * Rule sets as data, from memory (handbook part 7). Shown always with "check your own code".
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
    floor: COLOUR_FLOOR,
    usualTarget: 100,
    source: 'EU limit since October 2025, 80 mg/kg as nitrite ion = 120 as sodium nitrite; value from memory. Floor: common practice, for colour',
  },
  uk: {
    name: 'United Kingdom',
    limit: 150,
    bellyLimit: 150,
    dryLimit: 150,
    dryBellyLimit: 150,
    floor: COLOUR_FLOOR,
    usualTarget: 130,
    source: 'UK limit, 150 mg/kg ingoing; value from memory. Floor: common practice, for colour',
  },
};

/** Skin takes up nothing and is about 10 % of a belly's weight, so the limit on the whole weight is that much lower. */
const SKIN_SHARE = 0.1;

/** The limit that holds for a product made by a method, ppm. */
export function nitriteLimit(rules: RuleSet, product: Product, method: NitriteMethod, skinOn: boolean): number {
  if (product !== 'belly-bacon') return method === 'dry' ? rules.dryLimit : rules.limit;
  const limit = method === 'dry' ? rules.dryBellyLimit : rules.bellyLimit;
  return skinOn ? limit * (1 - SKIN_SHARE) : limit;
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

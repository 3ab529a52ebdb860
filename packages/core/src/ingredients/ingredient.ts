/** Grams that one teaspoon and one cup of an ingredient hold: low, typical, high. */
export interface MeasureWeights {
  teaspoon: readonly [low: number, typical: number, high: number];
  /** absent where nobody measures it by the cup; then 48 teaspoons */
  cup?: readonly [low: number, typical: number, high: number];
}

/**
 * What spoons and cups hold, in grams [M: common kitchen tables, values from memory; docs/science.md, “Spoons and cups”].
 * Grouped by what it is in the brine: water, salt, cure, sweet, spice, and what has no name here.
 */
export const MEASURE_WEIGHTS = {
  water: { teaspoon: [4.9, 4.92, 4.93], cup: [235.5, 236.2, 236.6] },
  ice: { teaspoon: [2.4, 3.2, 4.5], cup: [115, 150, 217] },

  'table-salt': { teaspoon: [5.5, 6.0, 6.3], cup: [273, 288, 304] },
  'pickling-salt': { teaspoon: [5.5, 6.0, 6.3], cup: [273, 288, 304] },
  'fine-sea-salt': { teaspoon: [5.0, 5.6, 6.0], cup: [240, 270, 290] },
  'coarse-salt-flake': { teaspoon: [2.6, 2.9, 3.2], cup: [125, 137, 152] },
  'coarse-salt-rolled': { teaspoon: [4.5, 4.9, 5.3], cup: [215, 235, 255] },
  'coarse-salt-unknown': { teaspoon: [2.6, 3.9, 5.3], cup: [125, 186, 255] },

  'cure-1': { teaspoon: [4.8, 5.6, 6.2] },
  'cure-2': { teaspoon: [4.8, 5.6, 6.2] },
  'curing-salt-0.5': { teaspoon: [5.5, 6.0, 6.3], cup: [273, 288, 304] },
  'curing-salt-0.6': { teaspoon: [5.5, 6.0, 6.3], cup: [273, 288, 304] },
  'ready-mix': { teaspoon: [4.0, 5.2, 6.3], cup: [195, 250, 304] },
  'sodium-nitrite': { teaspoon: [4.5, 5.8, 7.0] },
  saltpetre: { teaspoon: [4.5, 5.6, 6.6] },
  'rock-salt': { teaspoon: [4.0, 5.3, 6.3], cup: [190, 250, 304] },

  'white-sugar': { teaspoon: [4.0, 4.2, 4.3], cup: [195, 200, 205] },
  'brown-sugar': { teaspoon: [4.3, 4.6, 4.8], cup: [205, 215, 225] },
  molasses: { teaspoon: [6.8, 7.0, 7.2], cup: [325, 337, 345] },
  honey: { teaspoon: [6.8, 7.0, 7.2], cup: [325, 337, 345] },
  'maple-syrup': { teaspoon: [6.4, 6.6, 6.8], cup: [305, 315, 325] },

  'granulated-garlic': { teaspoon: [2.8, 3.1, 3.4] },
  peppercorn: { teaspoon: [2.4, 2.9, 3.2] },
  'coriander-seed': { teaspoon: [1.5, 1.8, 2.1] },
  'pickling-spice': { teaspoon: [1.8, 2.2, 2.8] },
  'other-liquid': { teaspoon: [4.6, 5.0, 5.3], cup: [222, 240, 255] },
  flavouring: { teaspoon: [0.4, 2.0, 6.0], cup: [20, 100, 290] },
} as const satisfies Record<string, MeasureWeights>;

export type Ingredient = keyof typeof MEASURE_WEIGHTS;

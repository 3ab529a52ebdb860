/** What is true of a product whoever makes it. What a house does with it stands in its recipes. */
export interface ProductRecord {
  meat: 'pork' | 'beef';
  /** bacon, in which nitrate is not allowed */
  isBacon: boolean;
  /** which of a rule set's limits hold for it: those of bacon made of belly, or the general ones */
  limits: 'belly' | 'general';
  /** its finished weight may not be above green weight [P: 9 CFR 319.107 for bacon; for cured beef from memory] */
  notAboveGreen: boolean;
  /**
   * days in the refrigerator, cut, also in a bag sealed at home: the cautious end [USDA consumer storage advice, values from memory]. The
   * trade often says longer: that is shown beside it, and not printed
   */
  keepsDays: number;
  /** cooked by its recipe, and fried again all the same [T] */
  isFriedAgain: boolean;
  flesh: 'lean' | 'fat' | 'boneIn';
  /** the bone that is drawn and kept clear of, mm across */
  boneMm?: number;
  /** a piece as it usually comes, our own round numbers inside what is usual (docs/science.md, “What is made”), and how it is usually cured */
  usual: {
    greenG: number;
    shape: 'round' | 'slab';
    thicknessMm: number;
    lengthMm: number;
    school: 'bag' | 'equilibrium' | 'pumpAndCover';
    days: number;
  };
}

import { processFor, RULE_SETS, thicknessMm, usualWaterG, type School } from '@bunkhouse/core';
import type { BatchRequest } from './batchRequest.js';

/** A batch of one piece with a product's usual values: where the form begins, and the made-up house. */
export function usualRequest(product: BatchRequest['product'], asked: { id: string; by: string; startsAt: string; school?: School['kind'] }): BatchRequest {
  const process = processFor(product);
  const { usual } = process;
  const school = asked.school ?? usual.school;
  return {
    id: asked.id,
    product,
    pieces: [
      { greenG: usual.greenG, shape: usual.section.shape === 'slab' ? 'slab' : 'round', thicknessMm: thicknessMm(usual.section), lengthMm: usual.lengthMm },
    ],
    school,
    waterG: usualWaterG(product, usual.greenG),
    saltPercent: usual.saltPercent,
    sugarPercent: usual.sugarPercent,
    nitritePpm: RULE_SETS.us.usualTarget,
    ruleSet: 'us',
    cureDays: process.cureDays[school].usual,
    meatScaleStepG: 5,
    cureScaleStepG: 0.1,
    pumpPercent: usual.pumpPercent,
    repumpPercent: usual.repumpPercent,
    pickleSaltPercent: usual.pickleSaltPercent,
    syringeML: 60,
    spacingMm: 25,
    startsAt: asked.startsAt,
    by: asked.by,
  };
}

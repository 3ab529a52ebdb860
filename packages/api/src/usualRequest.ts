import { processFor, RULE_SETS, thicknessMm, usualWaterG, type BatchDesign, type School } from '@bunkhouse/core';
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
      {
        greenG: usual.greenG,
        shape: usual.section.shape === 'slab' ? 'slab' : 'round',
        thicknessMm: thicknessMm(usual.section),
        lengthMm: usual.lengthMm,
        ...(usual.section.bone === undefined ? {} : { boneMm: usual.section.bone.diameterMm }),
      },
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

/** The request that a design would be asked for with: a batch like another, as a new one. */
export function requestOf(design: BatchDesign, asked: { id: string; by: string; startsAt: string }): BatchRequest {
  const { school, house, cure, coldC, diffusivity } = design;
  return {
    ...usualRequest(design.product as BatchRequest['product'], { ...asked, school: school.kind }),
    pieces: design.pieces.map(({ greenG, lengthMm, section }) => ({
      greenG,
      lengthMm,
      shape: section.shape === 'slab' ? 'slab' : 'round',
      thicknessMm: thicknessMm(section),
      ...(section.bone === undefined ? {} : { boneMm: section.bone.diameterMm }),
      ...(section.closedSide === undefined ? {} : { skinOn: true }),
      ...(section.fatCapMm === undefined ? {} : { fatCapMm: section.fatCapMm }),
    })),
    waterG: school.waterG,
    saltPercent: design.saltPercent,
    sugarPercent: design.sugarPercent,
    nitritePpm: design.nitritePpm,
    cure: { ...cure },
    ruleSet: design.ruleSet,
    ...(house === undefined ? {} : { houseLimit: house.limit, houseFloor: house.floor }),
    cureDays: design.cureDays,
    meatScaleStepG: design.meatScaleStepG,
    cureScaleStepG: design.cureScaleStepG,
    ...(coldC === undefined ? {} : { coldC }),
    ...(diffusivity === undefined ? {} : { diffusivity: { ...diffusivity } }),
    ...(school.kind === 'equilibrium'
      ? {}
      : {
          pumpPercent: school.pumpPercent,
          repumpPercent: school.repumpPercent,
          pickleSaltPercent: school.pickleSaltPercent,
          syringeML: school.syringeML,
          spacingMm: school.spacingMm,
        }),
  };
}

import { daysOf, isPumped, processFor, RULE_SETS, thicknessMm, usualWaterG, type BatchDesign, type Process, type School } from '@bunkhouse/core';
import type { BatchRequest } from './batchRequest.js';

/** What a form or a made-up house says of a new batch beside its recipe. */
export interface AskedOfBatch {
  id: string;
  by: string;
  startsAt: string;
  school?: School['kind'];
}

/** A batch of one piece with a product's usual values. */
export const usualRequest = (product: BatchRequest['product'], asked: AskedOfBatch): BatchRequest => requestBy(processFor(product), asked);

/** A batch of one piece with the usual values of a process: where the form begins, and the made-up house. */
export function requestBy(process: Process, asked: AskedOfBatch): BatchRequest {
  const { usual } = process;
  const school = asked.school ?? usual.school;
  return {
    id: asked.id,
    product: process.product,
    ...(process.recipe === undefined ? {} : { recipe: { ...process.recipe } }),
    pieces: [
      {
        greenG: usual.greenG,
        shape: usual.section.shape === 'slab' ? 'slab' : 'round',
        thicknessMm: thicknessMm(usual.section),
        lengthMm: usual.lengthMm,
        ...(usual.section.bone === undefined ? {} : { boneMm: usual.section.bone.diameterMm }),
        ...(usual.section.closedSide === undefined ? {} : { skinOn: true }),
        ...(usual.section.fatCapMm === undefined ? {} : { fatCapMm: usual.section.fatCapMm }),
      },
    ],
    school,
    waterG: usualWaterG(process, usual.greenG),
    ...(school === 'equilibrium' && usual.strongSaltPercent !== undefined ? { strongSaltPercent: usual.strongSaltPercent } : {}),
    saltPercent: usual.saltPercent,
    sugarPercent: usual.sugarPercent,
    nitritePpm: usual.nitritePpm ?? RULE_SETS.us.usualTarget,
    ...(usual.cure === undefined || usual.nitritePpm === 0 ? {} : { cure: { ...usual.cure } }),
    ...(usual.dose === undefined || school === 'pumpAndCover' ? {} : { dose: { ...usual.dose } }),
    ruleSet: 'us',
    cureDays: daysOf(process.cureDays, school).usual,
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
export function requestOf(design: BatchDesign, asked: AskedOfBatch, process: Process = processFor(design.product)): BatchRequest {
  const { school, house, cure, acceleratorPpm, coldC, diffusivity } = design;
  const { strongSaltPercent: _usual, ...like } = requestBy(process, { ...asked, school: school.kind });
  return {
    ...like,
    ...apart(design),
    pieces: design.pieces.map(({ code, greenG, lengthMm, section }) => ({
      greenG,
      lengthMm,
      shape: section.shape === 'slab' ? 'slab' : 'round',
      thicknessMm: thicknessMm(section),
      ...(section.bone === undefined ? {} : { boneMm: section.bone.diameterMm }),
      ...(section.closedSide === undefined ? {} : { skinOn: true }),
      ...(section.fatCapMm === undefined ? {} : { fatCapMm: section.fatCapMm }),
      ...vesselOf(design, code),
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
    ...(acceleratorPpm === undefined ? {} : { acceleratorPpm }),
    ...(coldC === undefined ? {} : { coldC }),
    ...(diffusivity === undefined ? {} : { diffusivity: { ...diffusivity } }),
    ...(design.dose === undefined ? {} : { dose: { ...design.dose } }),
    ...(design.ownLines === undefined ? {} : { ownLines: design.ownLines.map((line) => ({ ...line })) }),
    ...(design.withoutSpices === undefined ? {} : { withoutSpices: design.withoutSpices }),
    ...(design.lineNames === undefined ? {} : { lineNames: { ...design.lineNames } }),
    ...(school.kind === 'equilibrium' && school.strongSaltPercent !== undefined ? { strongSaltPercent: school.strongSaltPercent } : {}),
    ...(!isPumped(school)
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

/** What they lie in, where they lie apart. */
const apart = ({ vessels: [first] = [] }: BatchDesign): Pick<BatchRequest, 'vesselKind' | 'sharedAlike'> =>
  first === undefined ? {} : { vesselKind: first.kind, ...(first.part === undefined ? {} : { sharedAlike: true }) };

function vesselOf({ vessels = [] }: BatchDesign, code: string): Pick<BatchRequest['pieces'][number], 'vessel'> {
  const i = vessels.findIndex(({ pieces }) => pieces.includes(code));
  return i === -1 ? {} : { vessel: i + 1 };
}

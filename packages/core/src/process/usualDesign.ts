import { CURE_1 } from '../ingredients/cureMix.js';
import type { BatchDesign, School } from './batchDesign.js';
import { processFor } from './processes.js';

/** A design with a product's usual values: what New batch starts from. */
export function usualDesign(product: string, startsAt: string, schoolKind?: School['kind']): BatchDesign {
  const process = processFor(product);
  const { usual } = process;
  const kind = schoolKind ?? usual.school;
  const waterG = usualWaterG(product, usual.greenG);
  const school: School =
    kind === 'equilibrium'
      ? { kind, waterG }
      : {
          kind,
          waterG,
          pumpPercent: usual.pumpPercent,
          repumpPercent: usual.repumpPercent,
          pickleSaltPercent: usual.pickleSaltPercent,
          syringeML: 60,
          spacingMm: 25,
        };
  return {
    product: process.product,
    pieces: [{ code: 'A', greenG: usual.greenG, section: usual.section, lengthMm: usual.lengthMm }],
    school,
    saltPercent: usual.saltPercent,
    sugarPercent: usual.sugarPercent,
    nitritePpm: 150,
    cure: CURE_1,
    ruleSet: 'us',
    cureDays: process.cureDays[kind].usual,
    meatScaleStepG: 5,
    cureScaleStepG: 0.1,
    startsAt,
  };
}

/** Water that usually covers so much meat, g, to a tenth of a litre. */
export const usualWaterG = (product: string, greenG: number): number =>
  Math.max(100, Math.round((processFor(product).usual.waterPerMeat * greenG) / 100) * 100);

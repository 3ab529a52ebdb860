import { CURE_1 } from '../ingredients/cureMix.js';
import type { BatchDesign, School } from '../log/batchDesign.js';
import { daysOf } from '../log/school.js';
import type { Process } from './process.js';
import { processFor } from './processes.js';

/** Ingoing nitrite aimed at where a process says nothing of it, ppm. */
const USUAL_PPM = 150;

/** A design with a product's usual values: what New batch starts from. */
export const usualDesign = (product: string, startsAt: string, schoolKind?: School['kind']): BatchDesign => designOf(processFor(product), startsAt, schoolKind);

/** A batch of one piece with the usual values of a process. */
export function designOf(process: Process, startsAt: string, schoolKind?: School['kind']): BatchDesign {
  const { usual } = process;
  const kind = schoolKind ?? usual.school;
  const waterG = usualWaterG(process, usual.greenG);
  const school: School =
    kind === 'dryRub'
      ? { kind, waterG: 0 }
      : kind === 'equilibrium'
        ? { kind, waterG, ...(usual.strongSaltPercent === undefined ? {} : { strongSaltPercent: usual.strongSaltPercent }) }
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
    nitritePpm: usual.nitritePpm ?? USUAL_PPM,
    cure: usual.cure ?? CURE_1,
    ...(usual.dose === undefined || kind === 'pumpAndCover' ? {} : { dose: usual.dose }),
    ruleSet: 'us',
    cureDays: daysOf(process.cureDays, kind).usual,
    meatScaleStepG: 5,
    cureScaleStepG: 0.1,
    startsAt,
  };
}

/** Water that usually covers so much meat, g, to a tenth of a litre. */
export const usualWaterG = ({ usual }: Process, greenG: number): number => Math.max(100, Math.round((usual.waterPerMeat * greenG) / 100) * 100);

import type { Message } from '../say/message.js';
import { coolingHours } from '../brine/coolingHours.js';
import { brineLevelMm, coverBrine, containerML, type Container, type Cover, type LyingPiece } from '../brine/coverBrine.js';
import { holdDownG, weightInAirG } from '../brine/holdDown.js';
import { readHydrometer, type HydrometerAnswer } from '../brine/readHydrometer.js';
import { splitWater, type WaterSplit } from '../brine/splitWater.js';
import { houseRules } from '../cure/ruleSet.js';
import { worstFirst } from '../cure/finding.js';
import { pastedSays } from '../say/english/pasted.js';
import { InputError } from '../inputError.js';
import { pumpMap, type PumpMap } from '../pump/pumpMap.js';
import { pumpPercent } from '../pump/pumpPercent.js';
import { pumpPlan, type PumpPlan } from '../pump/pumpPlan.js';
import { auditRecipe, type RecipeAudit } from '../pasted/auditRecipe.js';
import type { Strength } from '../pasted/bucket.js';
import type { AuditParams, CureMethod } from '../pasted/nitriteOfRecipe.js';
import { cureMixOf, type RecipeLine } from '../pasted/recipeLine.js';
import { openQuestions, readRecipe, type ReadRecipe } from '../pasted/readRecipe.js';
import type { Figure } from '../units/figure.js';
import { requireNumber } from '../units/require.js';
import { unitKind } from '../units/convert.js';
import { askRecipe } from './askRecipe.js';
import { meatDensity, sheetSection, type BenchSheet } from './benchSheet.js';
import { inputSays } from '../say/english/inputs.js';
import { sheetSays } from '../say/english/sheet.js';

/** One panel’s answer, or why there is none. */
export type Part<T> = { value: T } | { fault: InputError };

export interface WorkedRecipe {
  lines: RecipeLine[];
  coverLines: RecipeLine[] | null;
  method: CureMethod;
  /** what was audited, so that a corrected recipe is judged the same way */
  params: AuditParams;
  audit: RecipeAudit;
}

export interface Making {
  id: 'brine' | 'pickle' | 'cover';
  waterG: number;
  split: WaterSplit;
  /** of the heated part with what is dissolved in it */
  concentrateML: number;
  /** most of the water, %, whose concentrate the pot holds */
  mostPercent: number;
  fitsPot: boolean;
  /** the whole brine from the concentrate’s heat, without ice, down to 4 °C; null where it is cold enough */
  refrigeratorH: number | null;
  iceBathH: number | null;
}

export interface Tub {
  container: Container | null;
  cover: Cover | null;
  /** brine that there is, mL */
  brineML: number;
  /** level with the brine that there is */
  levelMm: number | null;
  covered: boolean;
  tubML: number | null;
  pieces: LyingPiece[];
  /** as felt in the brine, and as a stone on the scale */
  holdDownG: number;
  stoneG: number;
  onShelf: boolean | null;
  /** brine as % of the meat, for a bag */
  brinePerMeat: number;
}

export interface Pump {
  plan: PumpPlan;
  map: PumpMap;
  /** pickle there is, g */
  pickleG: number;
  /** after weighing */
  actual: { percent: number; ppm: number; figure: Figure | null; say: Message } | null;
}

/** Everything that a sheet comes to. */
export interface Worked {
  read: ReadRecipe | null;
  /** questions that have no answer yet */
  asking: number;
  recipe: Part<WorkedRecipe>;
  making: Part<Making[]> | null;
  tub: Part<Tub> | null;
  pump: Part<Pump> | null;
  float: Part<HydrometerAnswer> | null;
}

/** Works a whole sheet out: one call for every key that is pressed. Throws nothing for what a cook may type. */
export function workOut(sheet: BenchSheet): Worked {
  const read = sheet.door === 'have' ? readRecipe(sheet.text, sheet.answers, [sheet.cure]) : null;
  const recipe = part(() => worked(sheet, read));
  const done = 'value' in recipe ? recipe.value : null;
  const wet = done !== null && done.audit.strength !== null;
  return {
    read,
    asking: read === null ? 0 : openQuestions(read, sheet.answers).length,
    recipe,
    making: wet ? part(() => makings(sheet, done)) : null,
    tub: wet ? part(() => inTub(sheet, done)) : null,
    pump: done !== null && (done.method === 'pumpAndCover' || done.method === 'pumped') ? part(() => pumping(sheet, done)) : null,
    float: sheet.floatReading === undefined ? null : part(() => floated(sheet, sheet.floatReading ?? Number.NaN)),
  };
}

function part<T>(work: () => T): Part<T> {
  try {
    return { value: work() };
  } catch (error) {
    if (error instanceof InputError) return { fault: error };
    throw error;
  }
}

function worked(sheet: BenchSheet, read: ReadRecipe | null): WorkedRecipe {
  const asked = read === null ? askRecipe(sheet) : had(sheet, read);
  const days = read === null ? (sheet.school === 'dryRub' ? undefined : sheet.days) : sheet.lyingDays;
  if (days !== undefined) requireNumber(read === null ? 'days' : 'lyingDays', days, { min: 0.1, max: 120, unit: 'days' });
  const params: AuditParams = {
    lines: asked.lines,
    ...(asked.coverLines === undefined ? {} : { coverLines: asked.coverLines }),
    meatG: sheet.greenG,
    meatStepG: sheet.meatStepG,
    method: asked.method,
    ...(asked.pumpPercent === undefined ? {} : { pumpPercent: asked.pumpPercent }),
    product: sheet.product,
    ruleSet: sheet.ruleSet,
    ...(sheet.ruleSet === 'house' ? { house: houseRules(sheet) } : {}),
    cures: [sheet.cure],
    ...(days !== undefined ? { section: sheetSection(sheet), lengthMm: sheet.lengthMm, cureHours: days * 24 } : {}),
    ...pickUp(sheet),
    skinOn: sheet.skinOn,
    aimPpm: sheet.aimPpm,
  };
  return {
    lines: asked.lines,
    coverLines: asked.coverLines ?? null,
    method: asked.method,
    params,
    audit: withReading(auditRecipe(params), read, sheet.greenG),
  };
}

/** Pick-up as weighed; a piece that lost weight picked up less than can be told. */
function pickUp({ greenG, pulledG }: BenchSheet): { pickUpPercent?: number } {
  if (pulledG === undefined) return {};
  const weight = requireNumber('pulledG', pulledG, { above: 0, max: 1e7, unit: 'g' });
  if (weight <= greenG) throw new InputError('pulledG', inputSays('no-pick-up', { greenG }));
  return { pickUpPercent: ((weight - greenG) / greenG) * 100 };
}

/** The recipe that the cook has: every line on its scale. */
function had(sheet: BenchSheet, read: ReadRecipe): { lines: RecipeLine[]; coverLines?: RecipeLine[]; method: CureMethod; pumpPercent?: number } {
  const lines = read.lines.flatMap(({ line }, i) => {
    if (line === null) return [];
    const cure = cureMixOf(line.ingredient, [sheet.cure]) !== null;
    const stepG = sheet.lineSteps[i] ?? (cure ? sheet.cureStepG : sheet.meatStepG);
    const onScale = (reading: RecipeLine): RecipeLine => (unitKind(reading.unit) === 'mass' ? { ...reading, stepG } : reading);
    return [{ ...onScale(line), ...(line.alternatives === undefined ? {} : { alternatives: line.alternatives.map(onScale) }) }];
  });
  if (lines.length === 0) throw new InputError('text', inputSays('no-recipe-text'));
  const pumps = sheet.use === 'pumped' || sheet.use === 'pumpAndCover';
  return { lines, method: sheet.use, ...(pumps ? { pumpPercent: sheet.pumpPercent } : {}) };
}

/** Weights of meat nearer than this are the same piece. */
const SAME_MEAT = 0.02;

/** What could not be read counts too: nothing is right while a needed amount is missing. */
function withReading(audit: RecipeAudit, read: ReadRecipe | null, greenG: number): RecipeAudit {
  if (read === null) return audit;
  const missing = read.lines.filter((line) => line.needed === true);
  const left = read.lines.filter((line) => line.fault !== undefined && line.needed !== true);
  const findings = [...audit.findings];
  if (read.meatG !== null && Math.abs(read.meatG / greenG - 1) > SAME_MEAT)
    findings.push({ level: 'warn', ...pastedSays('meat-differs', { namedG: read.meatG, greenG }) });
  const texts = (lines: ReadRecipe['lines']) => lines.map((line) => line.text).join(', ');
  if (left.length > 0) findings.push({ level: 'note', ...pastedSays('not-counted', { lines: texts(left) }) });
  if (missing.length > 0) findings.unshift({ level: 'stop', ...pastedSays('amount-missing', { lines: texts(missing) }) });
  if (read.left > 0) findings.unshift({ level: 'stop', ...pastedSays('too-long', { left: read.left, most: 60 }) });
  return { ...audit, findings: worstFirst(findings) };
}

const COLD_C = 4;
/** A pot is filled no higher, as a share. */
const POT_FILL = 0.85;
/** Room that a gram of salt or sugar takes once dissolved, mL [M]. */
const DISSOLVED_ML_PER_G = 0.45;
/** Water near boiling, mL per g. */
const HOT_ML_PER_G = 1.04;

function makings(sheet: BenchSheet, { audit }: WorkedRecipe): Making[] {
  const two = audit.coverStrength !== null;
  const brines = [
    { id: two ? ('pickle' as const) : ('brine' as const), strength: audit.strength },
    { id: 'cover' as const, strength: audit.coverStrength },
  ];
  return brines.flatMap(({ id, strength }) => (strength === null ? [] : [making(sheet, id, strength)]));
}

function making(sheet: BenchSheet, id: Making['id'], strength: Strength): Making {
  const brineG = strength.brineML * strength.density;
  const saltG = (strength.saltPercent.value / 100) * brineG;
  const waterG = strength.bases.ofWater > 0 ? (saltG / strength.bases.ofWater) * 100 : brineG;
  const soluteG = brineG - waterG;
  const { hotC, coldC, targetC } = sheet;
  const share = requireNumber('concentratePercent', sheet.concentratePercent, { min: 0, max: 100, unit: '%' }) / 100;
  const split = splitWater({ totalWaterG: waterG, concentrateFraction: share, hotC, coldC, targetC, soluteG });
  const dissolvedML = soluteG * DISSOLVED_ML_PER_G;
  const concentrateML = split.hotG * HOT_ML_PER_G + dissolvedML;
  const potML = requireNumber('potML', sheet.potML, { above: 0, max: 1e6, unit: 'mL' });
  const withoutIce = splitWater({ totalWaterG: waterG, concentrateFraction: share, hotC, coldC, targetC: 60, soluteG }).finalC;
  const cool = (byC: number, by: 'refrigerator' | 'iceBath') =>
    withoutIce <= COLD_C ? null : coolingHours({ brineG, fromC: withoutIce, toC: COLD_C, byC, by });
  return {
    id,
    waterG,
    split,
    concentrateML,
    mostPercent: Math.max(0, Math.min(100, ((potML * POT_FILL - dissolvedML) / HOT_ML_PER_G / waterG) * 100)),
    fitsPot: concentrateML <= potML * POT_FILL,
    refrigeratorH: cool(2, 'refrigerator'),
    iceBathH: cool(0, 'iceBath'),
  };
}

/** A stone, g/mL. */
const STONE_DENSITY = 2.6;

function inTub(sheet: BenchSheet, { audit }: WorkedRecipe): Tub {
  const brine = audit.coverStrength ?? audit.strength;
  if (brine === null) throw new InputError('lines', inputSays('nothing-to-cover'));
  const count = Math.round(requireNumber('pieces', sheet.pieces, { min: 1, max: 40 }));
  const densityGPerML = meatDensity(sheet.product);
  const pieces = Array.from({ length: count }, (): LyingPiece => ({ massG: sheet.greenG / count, heightMm: sheet.thicknessMm, densityGPerML }));
  const felt = holdDownG({ pieces, brineDensity: brine.density });
  const common = {
    brineML: brine.brineML,
    pieces,
    holdDownG: felt,
    stoneG: felt > 0 ? weightInAirG({ feltG: felt, brineDensity: brine.density, weightDensity: STONE_DENSITY }) : 0,
    brinePerMeat: ((brine.brineML * brine.density) / sheet.greenG) * 100,
  };
  const container = containerOf(sheet);
  if (container === null) return { ...common, container, cover: null, levelMm: null, covered: brine.brineML >= 0.1 * sheet.greenG, tubML: null, onShelf: null };
  const cover = coverBrine({ container, pieces, coverMm: sheet.coverMm });
  const levelMm = brineLevelMm({ container, pieces, brineML: brine.brineML });
  return {
    ...common,
    container,
    cover,
    levelMm,
    covered: brine.brineML >= cover.brineML - 1,
    tubML: containerML(container),
    onShelf: Number.isFinite(sheet.shelfMm) ? container.heightMm <= sheet.shelfMm : null,
  };
}

/** Water with which the brine just covers the pieces in the tub, g to 50 g; null where that cannot be said. */
export function waterToCoverG(sheet: BenchSheet): number | null {
  let { waterG } = sheet;
  // More water also means more salt: a few rounds come to it from below.
  for (let i = 0; i < 6; i += 1) {
    const { tub } = workOut({ ...sheet, waterG });
    if (tub === null || !('value' in tub) || tub.value.cover === null) return null;
    if (tub.value.covered) return waterG;
    waterG = Math.ceil((waterG + tub.value.cover.brineML - tub.value.brineML) / 50) * 50;
  }
  return null;
}

function containerOf({ tub, tubLengthMm, tubWidthMm, tubHeightMm }: BenchSheet): Container | null {
  if (tub === 'bag') return null;
  if (tub === 'round') return { shape: 'round', diameterMm: tubLengthMm, heightMm: tubHeightMm };
  return { shape: 'rectangular', lengthMm: tubLengthMm, widthMm: tubWidthMm, heightMm: tubHeightMm };
}

/** A pump off its plan by more than a fifth is worth a word. */
const PUMP_OFF = 0.2;

function pumping(sheet: BenchSheet, { audit, params }: WorkedRecipe): Pump {
  const { strength } = audit;
  if (strength === null) throw new InputError('lines', inputSays('nothing-to-pump'));
  const section = sheetSection(sheet);
  const count = Math.round(requireNumber('pieces', sheet.pieces, { min: 1, max: 40 }));
  const grid = { section, lengthMm: sheet.lengthMm, spacingMm: sheet.spacingMm };
  const plan = pumpPlan({ ...grid, greenG: sheet.greenG / count, pumpPercent: sheet.pumpPercent, brineDensity: strength.density, syringeML: sheet.syringeML });
  return {
    plan,
    map: pumpMap(grid),
    pickleG: strength.brineML * strength.density,
    actual: sheet.pumpedG === undefined ? null : actualPump(sheet, params, sheet.pumpedG),
  };
}

function actualPump(sheet: BenchSheet, params: AuditParams, pumpedG: number): NonNullable<Pump['actual']> {
  const percent = pumpPercent({ greenG: sheet.greenG, pumpedG: requireNumber('pumpedG', pumpedG, { above: 0, max: 1e7, unit: 'g' }) });
  if (percent === 0) return { percent, ppm: 0, figure: null, say: sheetSays('nothing-went-in') };
  const { nitrite } = auditRecipe({ ...params, pumpPercent: percent, method: 'pumped' });
  const { judgement, applies } = nitrite;
  const wantedG = (sheet.greenG * sheet.pumpPercent) / 100;
  const gainedG = pumpedG - sheet.greenG;
  const off = percent / sheet.pumpPercent - 1;
  const say =
    judgement.verdict === 'over'
      ? sheetSays('pumped-over', { limitPpm: judgement.limit })
      : off < -PUMP_OFF || judgement.verdict === 'under'
        ? sheetSays('pump-more', { moreG: wantedG - gainedG, percent: sheet.pumpPercent })
        : off > PUMP_OFF
          ? sheetSays('pumped-more', { moreG: gainedG - wantedG })
          : sheetSays('pumped-as-planned');
  return { percent, ppm: applies.value, figure: applies, say };
}

function floated(sheet: BenchSheet, reading: number): HydrometerAnswer {
  const { floatScale: scale, floatOff, floatCalibrationC: calibrationC, floatC: sampleC, floatSugarPercent: sugarPercent } = sheet;
  return readHydrometer({ scale, reading: reading - floatOff, sampleC, calibrationC, sugarPercent });
}

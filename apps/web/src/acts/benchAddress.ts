import {
  type BatchDesign,
  BENCH_SCHOOLS,
  type BenchSchool,
  type BenchSheet,
  CURE_METHODS,
  CURE_MIXES,
  type CureMix,
  isByTheClock,
  isPumped,
  PRODUCTS,
  type QuestionId,
  QUESTIONS,
  RULE_SET_IDS,
  saltPercentToSalometer,
  thicknessMm,
  usualSheet,
} from '@bunkhouse/core';

/** A text beyond this is not put into the address: browsers and messages cut it. */
export const LONGEST_TEXT = 6000;

const CHOICES: Partial<Record<keyof BenchSheet, readonly string[]>> = {
  door: ['want', 'have'],
  product: PRODUCTS,
  ruleSet: RULE_SET_IDS,
  shape: ['round', 'slab'],
  school: BENCH_SCHOOLS,
  saltBase: ['ofWater', 'ofBrine', 'ofMeatAndWater'],
  labelPer: ['meat', 'water'],
  use: CURE_METHODS,
  tub: ['rectangular', 'round', 'bag'],
  floatScale: ['sg60F', 'salometer', 'baume'],
};

/** Numbers that may be missing. */
const OPTIONAL: readonly (keyof BenchSheet)[] = ['pumpedG', 'pulledG', 'floatReading', 'lyingDays'];

/** A sheet as the words of an address: only what differs from the product’s usual values. */
export function toAddress(sheet: BenchSheet): URLSearchParams {
  const usual = usualSheet(sheet.product);
  const params = new URLSearchParams({ product: sheet.product });
  for (const key of Object.keys(sheet) as (keyof BenchSheet)[]) {
    const value = sheet[key];
    if (key === 'product' || key === 'cure' || value === undefined || Object.is(value, usual[key])) continue;
    if (key === 'answers') for (const [question, answer] of Object.entries(sheet.answers)) params.set(`answer.${question}`, answer);
    else if (key === 'lineSteps') for (const [line, step] of Object.entries(sheet.lineSteps)) params.set(`scale.${line}`, String(step));
    else if (key === 'text') {
      if (sheet.text.length <= LONGEST_TEXT) params.set('text', sheet.text);
    } else if (typeof value === 'string' || typeof value === 'boolean' || (typeof value === 'number' && Number.isFinite(value))) params.set(key, String(value));
  }
  const builtIn = cureId(sheet.cure);
  if (builtIn === null) params.set('cure', labelText(sheet.cure));
  else if (builtIn !== 'cure-1') params.set('cure', builtIn);
  return params;
}

/** The sheet of an address. What is missing or cannot be is the usual value: an address may have been cut or edited. */
export function fromAddress(params: URLSearchParams): BenchSheet {
  const product = PRODUCTS.find((known) => known === params.get('product')) ?? 'canadian-bacon';
  const sheet: Record<string, unknown> = { ...usualSheet(product) };
  for (const [key, text] of params) {
    if (!Object.hasOwn(sheet, key) && !OPTIONAL.includes(key as keyof BenchSheet)) continue;
    const choices = CHOICES[key as keyof BenchSheet];
    if (choices !== undefined) sheet[key] = choices.includes(text) ? text : sheet[key];
    else if (key === 'text') sheet.text = text.slice(0, LONGEST_TEXT);
    else if (key === 'cure') sheet.cure = (Object.hasOwn(CURE_MIXES, text) ? CURE_MIXES[text] : cureOfLabel(text)) ?? sheet.cure;
    else if (typeof sheet[key] === 'boolean') sheet[key] = text === 'true';
    else if (typeof sheet[key] === 'number' || OPTIONAL.includes(key as keyof BenchSheet)) {
      const value = Number(text);
      if (text.trim() !== '' && Number.isFinite(value)) sheet[key] = value;
    }
  }
  sheet.answers = answersOf(params);
  sheet.lineSteps = stepsOf(params);
  return sheet as unknown as BenchSheet;
}

function answersOf(params: URLSearchParams): BenchSheet['answers'] {
  const answers: BenchSheet['answers'] = {};
  for (const [key, text] of params) {
    const id = key.replace('answer.', '') as QuestionId;
    if (key.startsWith('answer.') && Object.hasOwn(QUESTIONS, id) && QUESTIONS[id].options.some((option) => option.value === text)) answers[id] = text;
  }
  return answers;
}

function stepsOf(params: URLSearchParams): BenchSheet['lineSteps'] {
  const steps: Record<number, number> = {};
  for (const [key, text] of params) {
    const line = /^scale\.(\d{1,2})$/.exec(key)?.[1];
    const step = Number(text);
    if (line !== undefined && step > 0 && step <= 1000) steps[Number(line)] = step;
  }
  return steps;
}

export const cureId = (cure: CureMix): string | null => Object.keys(CURE_MIXES).find((id) => CURE_MIXES[id]?.name === cure.name) ?? null;

const labelText = (cure: CureMix): string => JSON.stringify([cure.name, cure.nitritePercent, cure.nitratePercent, cure.saltPercent, cure.mayPump !== false]);

function cureOfLabel(text: string): CureMix | null {
  try {
    const [name, nitritePercent, nitratePercent, saltPercent, mayPump] = JSON.parse(text) as unknown[];
    if (typeof name !== 'string' || [nitritePercent, nitratePercent, saltPercent].some((part) => typeof part !== 'number')) return null;
    return {
      name: name.slice(0, 60),
      nitritePercent: nitritePercent as number,
      nitratePercent: nitratePercent as number,
      saltPercent: saltPercent as number,
      mayPump: mayPump !== false,
    };
  } catch {
    return null;
  }
}

/** Which way of the Bench a batch goes. */
export function benchSchool({ school, dose, nitritePpm }: BatchDesign): BenchSchool {
  if (school.kind !== 'equilibrium') return school.kind;
  if (school.strongSaltPercent !== undefined) return 'clock';
  if (dose?.by === 'label') return 'readyMix';
  if (dose?.by === 'wholeSalt') return 'lowStrength';
  return nitritePpm > 0 ? 'equilibrium' : 'saltOnly';
}

/** The same on its sheet: what is dosed by its label as the label says, what was written as it was written. */
function schoolOnBench(design: BatchDesign): Partial<BenchSheet> {
  const { school, dose, cure, ownLines = [], lineNames = {} } = design;
  if (dose?.by === 'label') return { school: benchSchool(design), labelGPerKg: dose.gPerKg, labelPer: dose.per };
  if (dose?.by !== 'written') return { school: benchSchool(design) };
  const lines: [g: number, name: string][] = [
    [school.waterG, 'water'],
    [dose.saltG, lineNames.saltG ?? 'salt'],
    [dose.sugarG, lineNames.sugarG ?? 'sugar'],
    [dose.cureG, cure.name],
    ...ownLines.map(({ g, name }): [number, string] => [g, name]),
  ];
  const use = school.kind === 'dryRub' ? 'dry' : school.kind === 'pumpSame' ? 'pumpAndCover' : isByTheClock(school) ? 'clock' : 'even';
  return { door: 'have', use, lyingDays: design.cureDays, text: lines.flatMap(([g, name]) => (g > 0 ? [`${Number(g.toFixed(2))} g ${name}`] : [])).join('\n') };
}

/** The sheet of a batch: what was wanted when it was designed. */
export function sheetOfBatch(design: BatchDesign): BenchSheet {
  const [piece] = design.pieces;
  const { school } = design;
  const usual = usualSheet(design.product);
  return {
    ...usual,
    ruleSet: design.ruleSet,
    ...(design.house === undefined ? {} : { houseLimit: design.house.limit, houseFloor: design.house.floor }),
    greenG: design.pieces.reduce((sum, each) => sum + each.greenG, 0),
    pieces: design.pieces.length,
    ...(piece === undefined
      ? {}
      : { shape: piece.section.shape === 'slab' ? ('slab' as const) : ('round' as const), thicknessMm: thicknessMm(piece.section), lengthMm: piece.lengthMm }),
    cure: design.cure,
    aimPpm: design.nitritePpm,
    meatStepG: design.meatScaleStepG,
    cureStepG: design.cureScaleStepG,
    ...schoolOnBench(design),
    ...(school.kind === 'equilibrium' && school.strongSaltPercent !== undefined ? { salometer: saltPercentToSalometer(school.strongSaltPercent) } : {}),
    waterG: school.waterG,
    saltPercent: design.saltPercent,
    sugarPercent: design.sugarPercent,
    days: design.cureDays,
    ...(isPumped(school)
      ? {
          pumpPercent: school.pumpPercent + school.repumpPercent,
          pickleSaltPercent: school.pickleSaltPercent,
          syringeML: school.syringeML,
          spacingMm: school.spacingMm,
        }
      : {}),
  };
}

/** The address of a batch’s sheet, which knows the way back. */
export function benchOfBatch(batch: { id: string; code: string; design: BatchDesign }): string {
  const params = toAddress(sheetOfBatch(batch.design));
  params.set('batch', batch.id);
  params.set('code', batch.code);
  return `/bench?${params.toString()}`;
}

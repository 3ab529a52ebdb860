/** What fields are called that a sentence of core names by their inner name; the last part of the name decides. */
const FIELD_NAMES: Readonly<Record<string, string>> = {
  chamberC: 'The chamber',
  untilMin: 'Until',
  untilCoreC: 'The core',
  everyMin: 'How often',
  cureDays: 'The days of cure',
  coldC: 'The refrigerator',
  soakMin: 'The soak',
  saltPercent: 'The salt',
  sugarPercent: 'The sugar',
  nitritePpm: 'The nitrite',
  pumpPercent: 'The pump',
  repumpPercent: 'The re-pump',
  pickleSaltPercent: 'The pickle',
  strongSaltPercent: 'The strong pickle',
  acceleratorPpm: 'The ascorbate or erythorbate',
  thicknessShare: 'The thickness',
  waterG: 'The water',
  greenG: 'The weight',
  pulledG: 'The pulled weight',
  meatG: 'The meat',
  meatScaleStepG: 'The step of the big scale',
  cureScaleStepG: 'The step of the cure scale',
  lengthMm: 'The length',
  thicknessMm: 'The thickness',
  diameterMm: 'The diameter',
  widthMm: 'The width',
  heightMm: 'The height',
  fatCapMm: 'The fat',
  syringeML: 'The syringe',
  spacingMm: 'The spacing of the needle',
  limit: 'The limit',
  floor: 'The floor',
};

const INNER = /^[a-z][\w.]*$/;

/** A field as somebody knows it: `program.0.chamberC` is the chamber. What is no inner name stands as it is. */
export const fieldName = (field: string): string => (INNER.test(field) ? (FIELD_NAMES[field.split('.').at(-1) ?? ''] ?? 'The number') : field);

/** Paragraphs of the Guide that other screens point to. */
export const GUIDE_PLACES = [
  'strength',
  'salt-even',
  'nitrite-pumped',
  'nitrite-pick-up',
  'nitrite-even',
  'nitrite-dry',
  'judged',
  'pump',
  'yield',
  'ice',
  'hold-down',
  'cover',
  'doubt',
  'section',
  'pull',
  'soak',
  'learnt',
  'hydrometer',
  'thermometer',
  'lethality',
  'chill-gates',
  'cold-room',
  'forecast',
  'calendar',
  'cut-face-picture',
  'cost',
] as const;
export type GuidePlace = (typeof GUIDE_PLACES)[number];

/** Figures whose name is not that of their paragraph. */
const OF_FIGURE: readonly (readonly [begins: string, place: GuidePlace])[] = [
  ['strength', 'strength'],
  ['base', 'strength'],
  ['salt', 'salt-even'],
  ['pump', 'pump'],
  ['per-site', 'pump'],
];

/** Where the Guide tells of a figure, by the figure's id; null where it does not. */
export function guidePlaceOf(figureId: string): GuidePlace | null {
  const own = GUIDE_PLACES.find((place) => place === figureId);
  return own ?? OF_FIGURE.find(([begins]) => figureId.startsWith(begins))?.[1] ?? null;
}

export const guideAddress = (place: GuidePlace): string => `/guide#${place}`;

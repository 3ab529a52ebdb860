/** Where a batch is, in the order of the work. */
export const STATIONS = ['prep', 'cure', 'soak', 'dry', 'smoke', 'cook', 'chill', 'pack'] as const;
export type Station = (typeof STATIONS)[number];

export const STATION_NAMES: Record<Station, string> = {
  prep: 'Prep',
  cure: 'Cure',
  soak: 'Soak',
  dry: 'Dry',
  smoke: 'Smoke',
  cook: 'Cook',
  chill: 'Chill',
  pack: 'Pack',
};

import { USUAL_SETTINGS, type HouseSettings } from '@bunkhouse/api';

/** Countries whose kitchens read °F and pounds. Common practice. */
const POUNDS = new Set(['US', 'LR', 'FM', 'MH', 'PW']);

const UNION = 'AT BE BG HR CY CZ DK EE FI FR DE GR HU IE IT LV LT LU MT NL PL PT RO SK SI ES SE'.split(' ');
const RULES_OF: Readonly<Record<string, HouseSettings['ruleSet']>> = { CA: 'canada', GB: 'uk', ...Object.fromEntries(UNION.map((country) => [country, 'eu'])) };

export const timeZoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** How a house that is opened by a browser of this language most likely counts and writes. */
export function usualFor(language: string): HouseSettings {
  const locale = known(language);
  const country = new Intl.Locale(locale).maximize().region ?? '';
  const inPounds = POUNDS.has(country);
  const day = new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'numeric' })
    .formatToParts(new Date(2026, 9, 17))
    .find(({ type }) => type === 'day' || type === 'month');
  return {
    ...USUAL_SETTINGS,
    system: inPounds ? 'us' : 'metric',
    temperature: inPounds ? 'F' : 'C',
    decimal: new Intl.NumberFormat(locale).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value === ',' ? 'comma' : 'point',
    dates: day?.type === 'month' ? 'monthFirst' : 'dayFirst',
    clock: new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions().hour12 === true ? '12' : '24',
    ruleSet: RULES_OF[country] ?? USUAL_SETTINGS.ruleSet,
  };
}

const known = (language: string): string => {
  try {
    return Intl.DateTimeFormat.supportedLocalesOf(language)[0] ?? 'en-GB';
  } catch {
    return 'en-GB';
  }
};

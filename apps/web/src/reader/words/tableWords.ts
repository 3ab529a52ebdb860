import type { Judged, TABLE_VERDICTS } from '@bunkhouse/core';

/** What is judged at table, and what may be said of it. */
export const JUDGED_WORDS: Readonly<Record<Judged, string>> = { salt: 'Salt', firmness: 'Firmness', smoke: 'Smoke', doneness: 'Doneness' };

export const SAID_OF: { readonly [Of in Judged]: Readonly<Record<(typeof TABLE_VERDICTS)[Of][number], string>> } = {
  salt: { bland: 'Bland', right: 'Right', salty: 'Salty', 'too-salty': 'Too salty' },
  firmness: { soft: 'Too soft', right: 'Right', tough: 'Tough' },
  smoke: { faint: 'Too little', right: 'Right', strong: 'Too much' },
  doneness: { under: 'Underdone', right: 'Right', over: 'Overdone' },
};

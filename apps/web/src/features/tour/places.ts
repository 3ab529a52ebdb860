import type { PersonalRight } from '@bunkhouse/api';

/** A screen that the look round stops at, and what is to be known of it. */
export interface Place {
  to: string;
  name: string;
  says: string;
  /** only those who may are led there */
  right?: PersonalRight;
}

export const PLACES: readonly Place[] = [
  {
    to: '/',
    name: 'Today',
    says: 'What hands have to do now, late first. One tap logs a job as done at this minute; say so if it was earlier. The rail above shows every batch at its station, from Prep to Pack.',
  },
  {
    to: '/new',
    name: 'New batch',
    right: 'plan',
    says: 'From a raw cut to a dated plan. Weigh the piece, measure it where it is thickest, and brine, nitrite and every day stand beside the form. Nothing begins before you start it.',
  },
  {
    to: '/bench',
    name: 'Bench',
    says: 'Works a brine, a pump or somebody else’s recipe out, and keeps nothing. What you like becomes a batch with one tap.',
  },
  {
    to: '/calendar',
    name: 'Calendar',
    says: 'All batches over the weeks, against your hours, refrigerators and smokers. A job or a whole batch is moved by mouse, finger or arrow keys; what runs into something is told.',
  },
  {
    to: '/pit',
    name: 'Pit',
    says: 'Every fire and every chill as it goes, from probes or from what you read off. It rings while this page is open and sound is on.',
  },
  {
    to: '/stores',
    name: 'Stores',
    says: 'Your cure with the percentages of its label, your thermometers with their checks in ice. A verdict rests on them: without a checked thermometer it says so.',
  },
  { to: '/ledger', name: 'Ledger', says: 'Every batch that was packed, for you and for whoever inspects: to compare, to print, to take out as a file.' },
  { to: '/guide', name: 'Guide', says: 'The cautions, the terms, and where each number comes from. This look round is found here again.' },
];

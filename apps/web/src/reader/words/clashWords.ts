import type { Clash, DesignChanges, Moved, Proposal, Resource, Wish } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { span, writtenTime } from '../times';
import type { Preferences } from '../../reader/preferences';
import { fewDigits, inWords } from '../quantities';
import { nameHere } from '../here';

export const when = (at: string): string => writtenTime(at, 'ddd D MMM, HH:mm');
/** From one time to another, the day said once. */
const fromTo = (from: string, to: string, between: string): string =>
  dayjs(from).isSame(to, 'day') ? `${when(from)}${between}${writtenTime(to, 'HH:mm')}` : `${when(from)}${between}${when(to)}`;

const gapWords = (h: number): string => (h >= 48 ? `${fewDigits(h / 24, 1)} days` : `${fewDigits(h)} h`);

/** A store's measure. */
export const STORE_UNITS = { refrigerator: 'L', smoker: 'racks', tub: 'tubs' } as const;

/** So much of a store: litres or gallons, racks, tubs. */
export const ofStore = (amount: number, unit: string, shown: Pick<Preferences, 'system' | 'temperature'>): string =>
  unit === STORE_UNITS.refrigerator ? inWords(amount, 'room', shown) : `${fewDigits(amount, 1)} ${unit}`.trim();
const HOLD_WORDS: Readonly<Record<string, string>> = { tub: 'tub', cure: 'cure', dry: 'drying', smoke: 'smoke', chill: 'chill' };

/** A clash in a sentence or two: what, when, and who with whom. */
export function clashWords(
  clash: Clash,
  codeOf: (id: string) => string,
  resources: readonly Resource[],
  shown: Pick<Preferences, 'system' | 'temperature'>,
): { title: string; text: string } {
  const codes = 'batches' in clash ? clash.batches.map(codeOf).join(', ') : codeOf(clash.batch);
  const resource = 'resource' in clash ? resources.find(({ id }) => id === clash.resource) : undefined;
  const name = resource?.name ?? '';
  const time = 'to' in clash ? fromTo(clash.from, clash.to, ' to ') : '';
  switch (clash.kind) {
    case 'full': {
      const unit = resource === undefined ? '' : STORE_UNITS[resource.kind];
      const alone = clash.batches.length === 1 ? 'More than it holds at all. ' : '';
      return { title: `${name} overfull`, text: `${time}: ${ofStore(clash.most, unit, shown)} of ${ofStore(clash.capacity, unit, shown)}. ${alone}${codes}.` };
    }
    case 'closed':
      return { title: `${name} out of order`, text: `${time}: ${codes}. ${clash.why}`.trim() };
    case 'programs':
      return { title: `${name}: two programs`, text: `${time}: ${codes} want different heat.` };
    case 'hands':
      return { title: 'Too few hands', text: `${when(clash.from)}: ${clash.most} batches want somebody at once. ${codes}.` };
    case 'night':
      return { title: 'Outside working hours', text: `${codes}, ${when(clash.at)}.` };
    case 'late': {
      const wishes = clash.wishes === undefined ? '' : ` No other hours help. These contradict each other: ${wishesWords(clash.wishes)}.`;
      return { title: 'Too late for the table', text: `${codes} is ready ${when(clash.at)}, wanted ${when(clash.readyBy)}.${wishes}` };
    }
    case 'impossible':
      return { title: `${codes} cannot be`, text: `These contradict each other: ${wishesWords(clash.wishes)}.` };
  }
}

/** Wishes that contradict each other: dates and the longest gap by name, the shorter gaps together. */
function wishesWords(wishes: readonly Wish[]): string {
  const gaps = wishes.filter((wish) => wish.kind === 'gap').sort((a, b) => b.leastH - a.leastH);
  const [longest, ...shorter] = gaps;
  const together = shorter.reduce((sum, { leastH }) => sum + leastH, 0);
  return [
    ...wishes.filter((wish) => wish.kind !== 'gap').map(wishWords),
    ...(longest === undefined ? [] : [wishWords(longest)]),
    ...(shorter.length > 2 ? [`${shorter.length} shorter gaps between its jobs, ${gapWords(together)} together at the least`] : shorter.map(wishWords)),
  ].join('; ');
}

/** A wish as somebody would say it. */
function wishWords(wish: Wish): string {
  switch (wish.kind) {
    case 'done':
      return `${nameHere(wish.title)} is done`;
    case 'notBeforeNow':
      return 'nothing is done before now';
    case 'gap': {
      const { leastH, mostH } = wish;
      const gap = leastH === mostH ? gapWords(leastH) : Number.isFinite(mostH) ? `${gapWords(leastH)} to ${gapWords(mostH)}` : `at least ${gapWords(leastH)}`;
      return `${nameHere(wish.title)} ${gap} after ${nameHere(wish.before).toLowerCase()}`;
    }
    case 'notBefore':
      return `${nameHere(wish.title)} not before ${when(wish.at)}`;
    case 'notAfter':
      return `${nameHere(wish.title)} not after ${when(wish.at)}`;
    case 'readyBy':
      return `on the table ${when(wish.at)}`;
    case 'noTimeLeft':
      return 'no time is left within the days that are planned';
  }
}

const nameOf = (id: string, resources: readonly Resource[]): string => resources.find((resource) => resource.id === id)?.name ?? id;

/** Other stores, in words: `smoke in Second smoker`. */
const storesWords = (stores: Readonly<Record<string, string>>, resources: readonly Resource[]): string =>
  Object.entries(stores)
    .map(([hold, store]) => `${HOLD_WORDS[hold] ?? hold} in ${nameOf(store, resources)}`)
    .join(', ');

/** What a proposal does, and its price. */
export function proposalWords(
  proposal: Proposal,
  code: string,
  resources: readonly Resource[],
  variant?: DesignChanges,
  cureDays?: number,
): { title: string; price: string } {
  const later = Date.parse(proposal.readyAt) - Date.parse(proposal.readyWas);
  const ready = later === 0 ? 'ready as before' : `ready ${when(proposal.readyAt)}, ${span(later)} ${later > 0 ? 'later' : 'earlier'}`;
  const first = proposal.moves.find((move) => !move.step.startsWith('turn')) ?? proposal.moves[0];
  const moved =
    first === undefined
      ? ''
      : first.was === null
        ? `${nameHere(first.title)} ${when(first.at)}; `
        : `${nameHere(first.title)} ${when(first.at)} instead of ${dayjs(first.was).isSame(first.at, 'day') ? writtenTime(first.was, 'HH:mm') : when(first.was)}${first.step === 'pull' ? ', inside its window' : ''}; `;
  const stores = storesWords(proposal.stores, resources);
  const solves = proposal.solves === 1 ? '' : ` ${proposal.solves} clashes fewer.`;
  const still = proposal.moves.length === 0 ? 'nothing moves; ' : '';
  const days = variant?.cureDays === undefined || cureDays === undefined ? '' : `${variant.cureDays} days of cure instead of ${fewDigits(cureDays, 1)}; `;
  const title = {
    hours: `Move ${code}`,
    stores: `${code} in ${[...new Set(Object.values(proposal.stores))].map((id) => nameOf(id, resources)).join(', ')}`,
    variant: proposal.variant === 'pump' ? `Pump ${code}` : `Start ${code} sooner`,
  }[proposal.kind];
  const sooner = proposal.variant === 'sooner' ? 'if the meat is there by then; ' : '';
  return { title, price: `${stores === '' ? '' : `${stores[0]?.toUpperCase() ?? ''}${stores.slice(1)}; `}${days}${moved}${still}${sooner}${ready}.${solves}` };
}

/** What moves of one batch, the line only, in order. */
export function movedWords({ moves, stores }: Moved, resources: readonly Resource[]): string[] {
  const line = moves.filter(({ step }) => !step.startsWith('turn-'));
  const turns = moves.length - line.length;
  return [
    ...line.map(({ title, at, was }) => `${title}: ${was === null ? when(at) : fromTo(was, at, ' → ')}`),
    ...(turns === 0 ? [] : [turns === 1 ? 'one turn' : `${turns} turns`]),
    ...(Object.keys(stores).length === 0 ? [] : [storesWords(stores, resources)]),
  ];
}

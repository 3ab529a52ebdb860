import { thicknessMm, type Section } from '../section/section.js';
import type { TimedReading } from './coreReadings.js';

/** Why a reading is kept and not counted. */
type WhyNotCounted =
  /** further from the one before it than any core moves */
  | 'jump'
  /** colder or hotter than all that is around it */
  | 'beyond'
  /** of two series that cannot both be of one core, the one that does not count */
  | 'otherSeries';

export interface NotCounted extends TimedReading {
  why: WhyNotCounted;
}

export interface CountedReadings {
  counted: TimedReading[];
  notCounted: NotCounted[];
}

/** What is around a piece: as hot and as cold as it may be, °C, and whether it is water. */
export interface Around {
  hottestC: number;
  coldestC: number;
  isWater?: boolean;
}

export interface CountingRules {
  /** of two series that disagree: the lower counts for lethality and come-up, the higher for chill */
  favours: 'lower' | 'higher';
  /** the piece; a slab 40 mm thick when not given */
  section?: Section;
  /** what is around it at a time; between ice and the hottest fire when not given */
  around?: (s: number) => Around;
  /** when the probe was seated anew: what is read from then on begins anew, and wants a second reading that agrees, s */
  seatedS?: readonly number[];
}

/** Readings alone are taken as of a slab so thick, mm. */
export const ASSUMED_MM = 40;
export const ASSUMED: Section = { shape: 'slab', thicknessMm: ASSUMED_MM };
/** The hottest fire where none was read or set, and ice, °C [M]. */
export const ANY_FIRE: Around = { hottestC: 180, coldestC: 0 };
/** No core gets hotter, °C. */
const BOILS_C = 100;
/** A thermometer and its place differ by so much without a jump, °C [M]. */
const PLAY_C = 2;
/** After a reading that was not counted, no more than what a core does in so many minutes agrees with the last that was [M]. */
const AFTER_A_STRAY_MIN = 15;
/** Hands read so seldom, s. */
const SPARSE_S = 900;
/** A series whose first reading lies under this was seen to rise: it was in the meat, °C [M]. */
const SEEN_TO_RISE_C = 50;

/**
 * The fastest that a core of a piece can move beside what is around it, °C/min [M: conduction with a margin of about two]. In air the film
 * on the surface holds it back as well.
 *
 * @param awayC how far the core lies from what is around it
 * @example fastestCPerMin({ shape: 'slab', thicknessMm: 40 }, 160, false) // 4
 */
export function fastestCPerMin(section: Section, awayC: number, isWater: boolean): number {
  const cm = thicknessMm(section) / 10;
  const inside = ((section.shape === 'slab' ? 0.9 : 1.8) * awayC) / cm ** 2;
  return Math.max(0, isWater ? inside : Math.min((0.1 * awayC) / cm, inside));
}

/**
 * The readings of one probe in one place that can be of a core: a core cannot jump, nor be colder or hotter than all around it. What is
 * left out is named. After a stray reading of a probe only one that agrees with the last counted one goes on, however long that takes; what
 * is read seldom may lie as far as the time allows. Of two series that disagree one counts, once it was read twice.
 *
 * @param readings in order of time
 * @example countedReadings([{ s: 0, C: 20 }, { s: 60, C: 84 }, { s: 120, C: 21 }], { favours: 'lower' }).notCounted // [{ s: 60, C: 84, why: 'jump' }]
 */
export function countedReadings(readings: readonly TimedReading[], rules: CountingRules): CountedReadings {
  const seats = [...(rules.seatedS ?? [])].sort((a, b) => a - b);
  const parts: TimedReading[][] = [[]];
  let seat = 0;
  for (const reading of readings) {
    for (; seat < seats.length && (seats[seat] ?? Infinity) <= reading.s; seat += 1) parts.push([]);
    parts.at(-1)?.push(reading);
  }
  const found = parts.map((part, i) => oneSeat(part, rules, i > 0));
  return {
    counted: found.flatMap(({ counted }) => counted),
    notCounted: found.flatMap(({ notCounted }) => notCounted).sort((a, b) => a.s - b.s),
  };
}

/** Readings between two seatings of the probe. */
function oneSeat(readings: readonly TimedReading[], rules: CountingRules, wantsSecond: boolean): CountedReadings {
  const { favours, section = ASSUMED, around = () => ANY_FIRE } = rules;
  const notCounted: NotCounted[] = [];
  const leaveOut = (list: readonly TimedReading[], why: WhyNotCounted) => notCounted.push(...list.map((reading) => ({ ...reading, why })));
  let counted: TimedReading[] = [];
  let other: TimedReading[] = [];
  const agrees = (last: TimedReading | undefined, reading: TimedReading, strayBetween: boolean): boolean => {
    if (last === undefined) return true;
    const { hottestC, coldestC, isWater = false } = around(reading.s);
    const minutes = (reading.s - last.s) / 60;
    const awayC = reading.C > last.C ? hottestC - last.C : last.C - coldestC;
    const most = fastestCPerMin(section, awayC, isWater) * (strayBetween ? Math.min(minutes, AFTER_A_STRAY_MIN) : minutes);
    return Math.abs(reading.C - last.C) <= PLAY_C + most;
  };
  const isFavoured = () => {
    const [first, last, otherLast] = [counted[0], counted.at(-1), other.at(-1)];
    if (first === undefined || last === undefined || otherLast === undefined) return false;
    // Meat that was seen to rise was meat: what reads colder after it is a probe that was drawn out.
    return favours === 'higher' ? otherLast.C > last.C : otherLast.C < last.C && first.C >= SEEN_TO_RISE_C;
  };
  // A single reading that did not agree, and the next long after it: hands that read seldom, not a probe that lies outside.
  const isSparse = ({ s }: TimedReading) => other.length < 2 && s - (other.at(-1)?.s ?? s) >= SPARSE_S;
  for (const reading of readings) {
    const { hottestC, coldestC } = around(reading.s);
    if (reading.C > Math.min(hottestC, BOILS_C) + PLAY_C || reading.C < coldestC - PLAY_C) leaveOut([reading], 'beyond');
    else if (agrees(counted.at(-1), reading, other.length > 0 && !isSparse(reading))) {
      leaveOut(other, 'jump');
      other = [];
      counted.push(reading);
    } else if (other.length > 0 && agrees(other.at(-1), reading, false)) {
      other.push(reading);
      if (isFavoured()) {
        leaveOut(counted, 'otherSeries');
        [counted, other] = [other, []];
      }
    } else {
      leaveOut(other, 'jump');
      other = [reading];
    }
  }
  // Two that contradict each other, and nobody read a third: neither is proof.
  if (favours === 'lower' && isFavoured()) {
    leaveOut(counted, 'otherSeries');
    counted = [];
  }
  leaveOut(other, other.length > 1 ? 'otherSeries' : 'jump');
  if (wantsSecond && counted.length === 1) {
    leaveOut(counted, 'jump');
    counted = [];
  }
  return { counted, notCounted };
}

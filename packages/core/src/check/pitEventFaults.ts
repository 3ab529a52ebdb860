import { safetySays } from '../say/english/safety.js';
import { temperatureFaults } from './temperatureFaults.js';
import { temperatureFault } from '../safety/temperatureBounds.js';
import { numberFault, type NumberRule } from '../units/require.js';
import type { Piece } from '../log/batchDesign.js';
import { faultAt, type EntryFault } from '../log/entryFault.js';
import { checkSays } from '../say/english/check.js';
import { TENDING_ACTS, CHAMBER, type Probe, type PitEvent } from '../log/pitEvent.js';

const MOST_PROBES = 24;
const MOST_CHANNEL = 64;
const MOST_PLACES = 6;

/** What is known where something is written at the pit. */
interface AtThePit {
  /** what the bath is set to by the program, °C; undefined where there is none */
  bathSetC: number | undefined;
  hasReason: boolean;
}

/** What is wrong with an event before it is written; an empty answer means that it may be. */
export function pitEventFaults(event: PitEvent, pieces: readonly Piece[], { bathSetC, hasReason }: AtThePit): EntryFault[] {
  if (typeof event !== 'object' || (event as unknown) === null) return [faultAt('event', checkSays('what-happened-at-pit'))];
  const isPiece = (code: unknown) => pieces.some((piece) => piece.code === code);
  switch (event.act) {
    case 'probes':
      return probesFaults(event.probes, isPiece);
    case 'check':
      if (!isPiece(event.piece)) return [faultAt('event.piece', checkSays('no-such-piece'))];
      if (!Array.isArray(event.placesC) || event.placesC.length === 0 || event.placesC.length > MOST_PLACES)
        return [faultAt('event.placesC', checkSays('read-places', { most: MOST_PLACES }))];
      return [...event.placesC, ...(event.probeC === undefined ? [] : [event.probeC])].flatMap((C) => temperatureFaultAt('event.placesC', C, 'core'));
    case 'bath': {
      if (event.piece !== undefined && !isPiece(event.piece)) return [faultAt('event.piece', checkSays('no-such-piece'))];
      return waterFaults(event.waterC, bathSetC, hasReason);
    }
    case 'heard':
    case 'decided':
      return typeof event.alarm === 'string' && /^[a-z0-9-]{2,20}:[A-Za-z0-9-]{1,40}$/.test(event.alarm)
        ? []
        : [faultAt('event.alarm', checkSays('no-such-alarm'))];
    default:
      if (!TENDING_ACTS.includes(event.act)) return [faultAt('event.act', checkSays('no-act-at-pit'))];
      return event.piece === undefined || isPiece(event.piece) ? [] : [faultAt('event.piece', checkSays('no-such-piece'))];
  }
}

function probesFaults(probes: unknown, isPiece: (code: unknown) => boolean): EntryFault[] {
  if (!Array.isArray(probes) || probes.length > MOST_PROBES) return [faultAt('event.probes', checkSays('too-many-channels', { most: MOST_PROBES }))];
  const seen = new Set<string>();
  for (const probe of probes as Probe[]) {
    if (typeof probe !== 'object' || (probe as unknown) === null || !/^[0-9a-f-]{36}$/.test(String(probe.device)))
      return [faultAt('event.probes', checkSays('which-device'))];
    if (!Number.isInteger(probe.channel) || probe.channel < 1 || probe.channel > MOST_CHANNEL)
      return [faultAt('event.probes', checkSays('channels-from-one', { most: MOST_CHANNEL }))];
    const key = `${probe.device} ${probe.channel}`;
    if (seen.has(key)) return [faultAt('event.probes', checkSays('channel-in-two-places', { channel: probe.channel }))];
    seen.add(key);
    if (probe.reads !== CHAMBER && !isPiece(probe.reads)) return [faultAt('event.probes', checkSays('channel-hangs-where'))];
    if (probe.targetC !== undefined) {
      const fault = targetFault('event.probes', probe.targetC, { min: 30, max: 105, unit: '°C' });
      if (fault.length > 0) return fault;
    }
  }
  return [];
}

function targetFault(field: string, C: unknown, rule: NumberRule): EntryFault[] {
  if (typeof C !== 'number' || !Number.isFinite(C)) return [faultAt(field, checkSays('temperature-no-number'))];
  const fault = numberFault(C, rule, checkSays('a-temperature'));
  return fault === null ? [] : [faultAt(field, fault)];
}

/** Water that no bath has is refused; water that is far from what its bath is set to, in the other unit near it, is asked about. */
function waterFaults(C: unknown, setC: number | undefined, hasReason: boolean): EntryFault[] {
  if (typeof C !== 'number' || !Number.isFinite(C)) return temperatureFaultAt('event.waterC', C, 'water');
  return temperatureFaults('event.waterC', safetySays('water'), C, 'water', setC === undefined ? {} : { setC }, hasReason);
}

/** A core that no piece on the fire has, or water that no bath has, is asked about where it is typed. */
function temperatureFaultAt(field: string, C: unknown, of: 'core' | 'water'): EntryFault[] {
  if (typeof C !== 'number' || !Number.isFinite(C)) return [faultAt(field, checkSays('temperature-no-number'))];
  const fault = temperatureFault(C, of);
  return fault === null ? [] : [{ ...faultAt(field, fault.said), temperature: fault }];
}

import { temperatureFault } from '../safety/temperatureBounds.js';
import { numberFault } from '../units/require.js';
import type { Piece } from '../log/batchDesign.js';
import type { EntryFault } from '../log/entryFault.js';
import { TENDING_ACTS, CHAMBER, type Probe, type PitEvent } from '../log/pitEvent.js';

const MOST_PROBES = 24;
const MOST_CHANNEL = 64;
const MOST_PLACES = 6;

/** What is wrong with an event before it is written; an empty answer means that it may be. */
export function pitEventFaults(event: PitEvent, pieces: readonly Piece[]): EntryFault[] {
  if (typeof event !== 'object' || (event as unknown) === null) return [{ field: 'event', message: 'What happened at the pit?' }];
  const isPiece = (code: unknown) => pieces.some((piece) => piece.code === code);
  switch (event.act) {
    case 'probes':
      return probesFaults(event.probes, isPiece);
    case 'check':
      if (!isPiece(event.piece)) return [{ field: 'event.piece', message: 'This batch has no such piece.' }];
      if (!Array.isArray(event.placesC) || event.placesC.length === 0 || event.placesC.length > MOST_PLACES)
        return [{ field: 'event.placesC', message: `Read between 1 and ${MOST_PLACES} places.` }];
      return [...event.placesC, ...(event.probeC === undefined ? [] : [event.probeC])].flatMap((C) => temperatureFaultAt('event.placesC', C, 'core'));
    case 'bath': {
      if (event.piece !== undefined && !isPiece(event.piece)) return [{ field: 'event.piece', message: 'This batch has no such piece.' }];
      return temperatureFaultAt('event.waterC', event.waterC, 'water');
    }
    case 'heard':
    case 'decided':
      return typeof event.alarm === 'string' && /^[a-z0-9-]{2,20}:[A-Za-z0-9-]{1,40}$/.test(event.alarm)
        ? []
        : [{ field: 'event.alarm', message: 'There is no such alarm.' }];
    default:
      if (!TENDING_ACTS.includes(event.act)) return [{ field: 'event.act', message: 'That is nothing that is done at the pit.' }];
      return event.piece === undefined || isPiece(event.piece) ? [] : [{ field: 'event.piece', message: 'This batch has no such piece.' }];
  }
}

function probesFaults(probes: unknown, isPiece: (code: unknown) => boolean): EntryFault[] {
  if (!Array.isArray(probes) || probes.length > MOST_PROBES) return [{ field: 'event.probes', message: `Up to ${MOST_PROBES} channels hang at one cook.` }];
  const seen = new Set<string>();
  for (const probe of probes as Probe[]) {
    if (typeof probe !== 'object' || (probe as unknown) === null || !/^[0-9a-f-]{36}$/.test(String(probe.device)))
      return [{ field: 'event.probes', message: 'Which device is it?' }];
    if (!Number.isInteger(probe.channel) || probe.channel < 1 || probe.channel > MOST_CHANNEL)
      return [{ field: 'event.probes', message: `Channels are counted from 1 to ${MOST_CHANNEL}.` }];
    const key = `${probe.device} ${probe.channel}`;
    if (seen.has(key)) return [{ field: 'event.probes', message: `Channel ${probe.channel} cannot hang in two places.` }];
    seen.add(key);
    if (probe.reads !== CHAMBER && !isPiece(probe.reads))
      return [{ field: 'event.probes', message: 'A channel hangs in the chamber or in a piece of this batch.' }];
    if (probe.targetC !== undefined) {
      const fault = targetFault('event.probes', probe.targetC, { min: 30, max: 105, unit: '°C' });
      if (fault.length > 0) return fault;
    }
  }
  return [];
}

function targetFault(field: string, C: unknown, rule: { min: number; max: number; unit: string }): EntryFault[] {
  if (typeof C !== 'number' || !Number.isFinite(C)) return [{ field, message: 'A temperature must be a number.' }];
  const fault = numberFault(C, rule);
  return fault === null ? [] : [{ field, message: `A temperature ${fault}.` }];
}

/** A core that no piece on the fire has, or water that no bath has, is asked about where it is typed. */
function temperatureFaultAt(field: string, C: unknown, of: 'core' | 'water'): EntryFault[] {
  if (typeof C !== 'number' || !Number.isFinite(C)) return [{ field, message: 'A temperature must be a number.' }];
  const fault = temperatureFault(C, of);
  return fault === null ? [] : [{ field, message: fault.message, temperature: fault }];
}

import { alarmKeySaid, type PitEvent } from '@bunkhouse/core';
import type { Preferences } from '../../reader/preferences';
import { inWords } from '../quantities';
import { TENDING_WORDS } from './words';
import { sayHere } from '../here';

/** An entry of the pit in the log. */
export function pitEventTitle(event: PitEvent, shown: Pick<Preferences, 'system' | 'temperature'>): string {
  const inC = (C: number) => inWords(C, 'temperature', shown);
  switch (event.act) {
    case 'probes':
      return event.probes.length === 0
        ? 'Probes taken out'
        : `Probes hung: ${event.probes.map(({ channel, reads }) => `${channel} ${reads === 'chamber' ? 'in the chamber' : `in piece ${reads}`}`).join(', ')}`;
    case 'check':
      return `Instant-read check, piece ${event.piece}: ${event.placesC.map(inC).join(', ')}${event.probeC === undefined ? '' : `, probe ${inC(event.probeC)}`}`;
    case 'bath':
      return `Water of the bath: ${inC(event.waterC)}${event.piece === undefined ? '' : `, piece ${event.piece}`}`;
    case 'heard':
      return `Alarm heard: ${sayHere(alarmKeySaid(event.alarm))}`;
    case 'decided':
      return `Decided: ${sayHere(alarmKeySaid(event.alarm))}`;
    default:
      return `${TENDING_WORDS[event.act].done}${event.piece === undefined ? '' : `, piece ${event.piece}`}`;
  }
}

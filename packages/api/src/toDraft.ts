import type { EntryDraft, HandAct, LotDraw, PieceEvent, PitEvent, PlannedStepId, Probe, TendingAct, Vessel } from '@bunkhouse/core';
import type { LogEntryRequest } from './logEntryRequest.js';

/** The draft that a checked request asks for. Fields that its kind has no use for are left behind. */
export function toDraft(request: LogEntryRequest): EntryDraft {
  const written = {
    id: request.id,
    by: request.by.trim(),
    at: new Date(request.at).toISOString(),
    ...(request.about === true ? { about: true } : {}),
  };
  const reason = request.reason?.trim() ?? '';
  const values = request.values ?? {};
  switch (request.kind) {
    case 'done':
      return { ...written, kind: 'done', stepId: stepIn(request), values, ...(reason === '' ? {} : { reason }) };
    case 'skipped':
      return { ...written, kind: 'skipped', stepId: stepIn(request), reason };
    case 'correction':
      return { ...written, kind: 'correction', replaces: request.replaces ?? '', values, reason };
    case 'withdrawn':
      return { ...written, kind: 'withdrawn', replaces: request.replaces ?? '', reason };
    case 'replanned':
      return { ...written, kind: 'replanned', changes: request.changes ?? {}, reason };
    case 'pit':
      return { ...written, kind: 'pit', event: pitEvent(request.event), ...(reason === '' ? {} : { reason }) };
    case 'pieces':
      return { ...written, kind: 'pieces', event: pieceEvent(request.event), ...(reason === '' ? {} : { reason }) };
    case 'vessels':
      return { ...written, kind: 'vessels', vessels: vesselsIn(request), ...(reason === '' ? {} : { reason }) };
    case 'act':
      return { ...written, kind: 'act', event: handAct(request.event), ...(reason === '' ? {} : { reason }) };
    case 'lot': {
      const { of, lot, g } = (request.draw ?? {}) as LotDraw;
      return { ...written, kind: 'lot', draw: { of, lot, g }, ...(reason === '' ? {} : { reason }) };
    }
    case 'ended':
      return { ...written, kind: 'ended', ...(request.how === undefined ? {} : { how: request.how }), reason };
    case 'note':
      return { ...written, kind: 'note', reason };
  }
}

/** Whether a batch has such a step `checkEntry` says. */
const stepIn = ({ stepId = '' }: LogEntryRequest): PlannedStepId => stepId as PlannedStepId;

/** The event with nothing beside what its act has. What is wrong with it `checkEntry` says. */
function pitEvent(event: LogEntryRequest['event']): PitEvent {
  const given = (event ?? {}) as { act?: unknown; piece?: unknown } & Record<string, unknown>;
  switch (given.act) {
    case 'probes':
      return {
        act: 'probes',
        probes: Array.isArray(given.probes)
          ? (given.probes as (Record<string, unknown> | null)[]).map((probe) => {
              const { device, channel, reads, targetC } = probe ?? {};
              return { device, channel, reads, ...(targetC === undefined ? {} : { targetC }) } as Probe;
            })
          : (given.probes as Probe[]),
      };
    case 'check':
      return {
        act: 'check',
        piece: given.piece as string,
        placesC: given.placesC as number[],
        ...(given.probeC === undefined ? {} : { probeC: given.probeC as number }),
      };
    case 'bath':
      return { act: 'bath', waterC: given.waterC as number, ...(given.piece === undefined ? {} : { piece: given.piece as string }) };
    case 'heard':
    case 'decided':
      return { act: given.act, alarm: given.alarm as string };
    default:
      return { act: given.act as TendingAct, ...(given.piece === undefined ? {} : { piece: given.piece as string }) };
  }
}

/** Each vessel with nothing beside what it has. What is wrong with it `checkEntry` says. */
const vesselsIn = ({ vessels }: LogEntryRequest): readonly Vessel[] =>
  !Array.isArray(vessels)
    ? (vessels as unknown as Vessel[])
    : (vessels as (Record<string, unknown> | null)[]).map((vessel) => {
        const { kind, pieces, part, brineG } = vessel ?? {};
        return { kind, pieces, ...(part == null ? {} : { part }), ...(brineG == null ? {} : { brineG }) } as Vessel;
      });

/** The same for a piece. */
function pieceEvent(event: LogEntryRequest['event']): PieceEvent {
  const { act, piece, pieces, to, staysG, goesG, offG, weighsG } = (event ?? {}) as unknown as Record<string, unknown>;
  if (act === 'parted') return { act, pieces, to } as PieceEvent;
  const known = act === 'split' ? { staysG, goesG, to } : act === 'joined' ? { to } : act === 'dropped' ? {} : { offG, weighsG };
  return { act, piece, ...Object.fromEntries(Object.entries(known).filter(([, value]) => value !== undefined && value !== null)) } as PieceEvent;
}

/** The same beside the plan. */
function handAct(event: LogEntryRequest['event']): HandAct {
  const { act, pieces, C, humidityPercent, g, forMin, times, salt, firmness, smoke, doneness } = (event ?? {}) as unknown as Record<string, unknown>;
  const known = Object.entries({ pieces, C, humidityPercent, g, forMin, times, salt, firmness, smoke, doneness }).filter(
    ([, value]) => value !== undefined && value !== null,
  );
  return { act, ...Object.fromEntries(known) } as HandAct;
}

import { bookSays } from '../say/english/book.js';
import type { Message } from '../say/message.js';
import { isPumped, thickestMm } from '../batch/design.js';
import { checkEntry } from '../check/checkEntry.js';
import { attempt } from '../check/entryDraft.js';
import { changedDesign } from '../batch/replan.js';
import type { DesignChanges } from '../log/designChanges.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import { cureCourse, type CureCourse } from '../batch/cureCourse.js';

/** Another way that a batch might go. */
export interface WhatIf {
  id: string;
  /** what would be different, as a cook says it */
  title: string;
  said: Message;
  changes: DesignChanges;
  /** whether this batch may still go that way; else it is for the next one */
  open: boolean;
}

/** Pickle stronger by so much, salt of an even cure by so much, % [M]. */
const STRONGER = { pickle: 3, even: 0.5 } as const;
const THINNER = 0.75;
/** The warmest that a cure may lie, and a cold shelf, °C (docs/science.md, “Making it”). */
const WARM_C = 4;
const COLD_C = 1;
const USUAL_C = 3;
const USUAL_PUMP_PERCENT = 8;

/** What else might be done with a batch, the smallest change first. Nothing is offered that its design cannot be. */
export function whatIfs(record: BatchRecord, state: BatchState, now: number): WhatIf[] {
  const { design } = state;
  const { school, cureDays } = design;
  const days = record.process.cureDays;
  const skinOn = design.pieces.some((piece) => piece.section.closedSide !== undefined);
  const ham = record.process.product.startsWith('ham');
  const offered: Omit<WhatIf, 'open' | 'title'>[] = [
    { id: 'shorter', said: bookSays('if-shorter'), changes: { cureDays: cureDays - 1 } },
    { id: 'longer', said: bookSays('if-longer'), changes: { cureDays: cureDays + 1 } },
    isPumped(school)
      ? { id: 'pickle', said: bookSays('if-pickle', { percent: STRONGER.pickle }), changes: { pickleSaltPercent: school.pickleSaltPercent + STRONGER.pickle } }
      : {
          id: 'pump',
          said: bookSays('if-pump', { days: Math.min(cureDays, days.pumpAndCover.usual) }),
          changes: { pumpPercent: record.process.usual.pumpPercent || USUAL_PUMP_PERCENT, cureDays: Math.min(cureDays, days.pumpAndCover.usual) },
        },
    ...(school.kind === 'equilibrium' && school.strongSaltPercent === undefined
      ? [
          {
            id: 'saltier',
            said: bookSays('if-saltier', { percent: design.saltPercent + STRONGER.even }),
            changes: { saltPercent: design.saltPercent + STRONGER.even },
          },
        ]
      : []),
    { id: 'thinner', said: bookSays('if-thinner', { thickMm: thickestMm(design) * THINNER }), changes: { thicknessShare: THINNER } },
    (design.coldC ?? USUAL_C) < WARM_C
      ? { id: 'warmer', said: bookSays('if-shelf', { coldC: WARM_C }), changes: { coldC: WARM_C } }
      : { id: 'colder', said: bookSays('if-shelf', { coldC: COLD_C }), changes: { coldC: COLD_C } },
    { id: 'skin', said: bookSays(skinOn ? (ham ? 'if-skin-off' : 'if-silver-off') : ham ? 'if-skin-on' : 'if-silver-on'), changes: { skinOn: !skinOn } },
  ];
  return offered.flatMap((offer): WhatIf[] => {
    const whatIf = { ...offer, title: offer.said.message };
    const can = attempt(() => changedDesign(design, record.process, whatIf.changes));
    if ('fault' in can || 'fault' in attempt(() => fresh(record, state, whatIf.changes))) return [];
    return [{ ...whatIf, open: checkEntry(record, draftOf(whatIf, now), now).length === 0 }];
  });
}

/** The course as it would go: on from here where the batch may still go that way, else as if it had been planned so. */
export function whatIfCourse(record: BatchRecord, state: BatchState, whatIf: WhatIf, code: string, now: number): CureCourse {
  if (!whatIf.open) return fresh(record, state, whatIf.changes, code);
  const seq = record.entries.length + 1;
  const entry = { ...draftOf(whatIf, now), seq, recordedAt: new Date(now).toISOString() };
  const changed = { ...record, entries: [...record.entries, entry] };
  return cureCourse(changed, replay(changed, now), code);
}

const draftOf = ({ title, changes }: Pick<WhatIf, 'title' | 'changes'>, now: number) =>
  ({ id: '', by: '', at: new Date(now).toISOString(), kind: 'replanned', changes, reason: title }) as const;

function fresh(record: BatchRecord, { design }: BatchState, changes: DesignChanges, code = design.pieces[0]?.code ?? ''): CureCourse {
  const planned: BatchRecord = { ...record, design: changedDesign(design, record.process, changes), entries: [] };
  return cureCourse(planned, replay(planned, Date.parse(planned.design.startsAt)), code);
}

import Button from '@mui/material/Button';
import type { Message, ToldAlarm } from '@bunkhouse/core';
import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useLiveBatches, type Batch } from '../../data/batches';
import { Strip } from '../../kit/Strip';
import { showNotice } from '../../kit/notice';
import { useSay } from '../../reader/reader';
import { useReminding } from '../reminding';
import { useRinging } from './ringing';
import { useColdLying } from './useColdLying';
import { atThePit, isChilling, isOnFire, isProbed, usePitWatch } from './usePitWatch';

interface Unheard {
  key: string;
  batchId: string;
  code: string;
  fact: Message;
  level: 'danger' | 'caution';
  /** where it is seen to */
  page: 'pit' | 'batches';
}

/** Over every page; on a telephone a line or two, with what it says cut short: the whole of it stands where it leads. */
const AT_THE_TOP = {
  margin: { xs: '6px 10px 0', md: '10px 12px 0' },
  '@media (max-width: 719px)': {
    flexWrap: 'nowrap',
    padding: '0 10px 0 8px',
    alignItems: 'center',
    '& .MuiAlert-icon': { whiteSpace: 'nowrap', padding: 0 },
    '& .MuiAlert-message': {
      display: '-webkit-box',
      WebkitLineClamp: 2,
      WebkitBoxOrient: 'vertical',
      overflow: 'hidden',
      padding: '2px 0',
      fontSize: '14px',
      lineHeight: '18px',
    },
    '& .MuiAlert-action .MuiButton-root': { whiteSpace: 'nowrap' },
  },
} as const;

/** Alarms of every cook that is on, told on each screen: nobody has to stand at the Pit to hear them. */
export function PitAlarms() {
  const { batches = [] } = useLiveBatches();
  const [unheard, setUnheard] = useState<Readonly<Record<string, Unheard[]>>>({});
  const { pathname } = useLocation();
  const say = useSay();
  const { state: reminding } = useReminding();
  const watched = batches.filter((batch) => (isOnFire(batch) && isProbed(batch)) || isChilling(batch));
  const all = batches.flatMap(({ record }) => unheard[record.id] ?? []);
  const keys = all.map(({ key }) => key);
  useRinging(keys);
  const joined = keys.join(' ');
  useEffect(() => {
    if (reminding !== 'on') return;
    // The same tag shows once, however often it is told.
    for (const { key, fact, code, page, batchId } of all) void showNotice({ title: code, body: say(fact), tag: key, path: `/${page}/${batchId}` });
    // What is told follows from the keys.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [joined, reminding]);
  // Where it is seen to, it stands on the page itself.
  const here = pathname === '/pit' ? `/pit/${atThePit(batches)[0]?.record.id ?? ''}` : pathname;
  const elsewhere = all.filter(({ page, batchId }) => here !== `/${page}/${batchId}`);
  const worst = elsewhere.find(({ level }) => level === 'danger') ?? elsewhere[0];
  return (
    <>
      {batches.map((batch) =>
        watched.includes(batch) ? (
          <CookEar key={batch.record.id} batch={batch} onAlarms={setUnheard} />
        ) : (
          <ColdEar key={batch.record.id} batch={batch} onAlarms={setUnheard} />
        ),
      )}
      {worst !== undefined && (
        <Strip
          level={worst.level === 'danger' ? 'stop' : 'caution'}
          role="alert"
          word={`${worst.page === 'pit' ? 'Pit' : 'Cold'}, ${worst.code}`}
          action={
            <Button variant="text" component={Link} to={`/${worst.page}/${worst.batchId}`}>
              {worst.page === 'pit' ? 'Go to the pit' : 'Go to the batch'}
            </Button>
          }
          sx={AT_THE_TOP}
        >
          {say(worst.fact)} {elsewhere.length > 1 && `And ${elsewhere.length - 1} more.`}
        </Strip>
      )}
    </>
  );
}

type OnAlarms = (change: (all: Readonly<Record<string, Unheard[]>>) => Readonly<Record<string, Unheard[]>>) => void;

/** Listens to the refrigerator of one batch; shows nothing. */
function ColdEar({ batch, onAlarms }: { batch: Batch; onAlarms: OnAlarms }) {
  const cold = useColdLying(batch);
  useTold(batch, cold?.alarms ?? [], onAlarms, 'batches');
  return null;
}

/** Listens to one cook; shows nothing. */
function CookEar({ batch, onAlarms }: { batch: Batch; onAlarms: OnAlarms }) {
  const { watch, chill } = usePitWatch(batch);
  const fire = isOnFire(batch) ? (watch?.alarms ?? []) : [];
  useTold(batch, [...fire, ...(chill?.alarms ?? [])], onAlarms, 'pit');
  return null;
}

/** Tells what lasts and nobody has heard. */
function useTold({ record: { id, code } }: Batch, alarms: readonly ToldAlarm[], onAlarms: OnAlarms, page: Unheard['page']): void {
  const said = JSON.stringify(
    alarms
      .filter(({ untilS, heard, level }) => untilS === null && heard === null && level !== 'news')
      .map(({ key, fact, level }) => ({ key: `${id}-${key}`, batchId: id, code, fact, level, page })),
  );
  useEffect(() => {
    onAlarms((all) => ({ ...all, [id]: JSON.parse(said) as Unheard[] }));
  }, [said, id, onAlarms]);
}

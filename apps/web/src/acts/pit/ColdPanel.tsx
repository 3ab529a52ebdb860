import Typography from '@mui/material/Typography';
import { COLD_MOST_C } from '@bunkhouse/core';
import { Panel } from '../../kit/Panel';
import type { Batch } from '../../data/batches';
import { ColdChart } from '../../charts/ColdChart';
import { Hero } from '../../kit/Hero';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords, scaleOf, toShown } from '../../reader/quantities';
import { GuideLink } from '../../kit/GuideLink';
import { clockTime, span } from '../../reader/times';
import { Alarms } from './Alarms';
import { useColdLying } from './useColdLying';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

const HOLDS = { tub: 'in the tub', cure: 'in its cure', dry: 'drying', smoke: 'in the smoke', chill: 'waiting' } as const;

/** The refrigerators that a batch lay in, as their loggers read them: time over 4 °C adds up. */
export function ColdPanel({ batch }: { batch: Batch }) {
  const preferences = usePreferences();
  const cold = useColdLying(batch);
  if (cold === null) return null;
  const { places, warmS, alarms, isSimulated } = cold;
  const startMs = places[0]?.fromMs ?? 0;
  const here = places.at(-1);
  const last = here?.watch.last ?? null;
  const { sign } = scaleOf('temperature', preferences);
  const unreadS = places.reduce((sum, { watch }) => sum + watch.unreadS, 0);
  return (
    <>
      <Alarms batch={batch} alarms={alarms} />
      <Panel
        title="In the cold"
        aside={
          <>
            {here?.store.name ?? ''}, {HOLDS[here?.hold ?? 'cure']}
            {isSimulated && (
              <Box component="span" sx={looks.simulated}>
                Simulated
              </Box>
            )}
            <GuideLink to="cold-room" of="In the cold" />
          </>
        }
        label="In the cold"
      >
        <Box sx={looks.chillHeroes}>
          <Hero
            size="md"
            label={here?.untilMs === null ? 'Now' : 'At the end'}
            value={last === null ? '\u2013' : digits(toShown(last.C, 'temperature', preferences), 1)}
            unit={last === null ? 'not read' : `${sign} at ${clockTime(startMs + last.s * 1000)}`}
          />
          <Hero
            size="md"
            label={`Over ${inWords(COLD_MOST_C, 'temperature', preferences, 0)}, in all`}
            value={warmS < 60 ? '0' : span(warmS * 1000)}
            unit={warmS < 60 ? 'min' : 'of 4 h'}
          />
          <Hero
            size="md"
            label="Warmest"
            value={
              here?.watch.warmestC == null
                ? '\u2013'
                : digits(toShown(Math.max(...places.map(({ watch }) => watch.warmestC ?? -Infinity)), 'temperature', preferences), 1)
            }
            unit={sign}
          />
          {unreadS > 900 && <Hero size="md" label="Not read" value={span(unreadS * 1000)} unit="" />}
        </Box>
        <ColdChart startMs={startMs} places={places} />
        <Typography variant="note" sx={looks.inset}>
          Four hours in all over {inWords(COLD_MOST_C, 'temperature', preferences, 0)} are common practice as the most; a door that is opened counts with its
          minutes. The air is read, not the meat. Check your own code.
        </Typography>
      </Panel>
    </>
  );
}

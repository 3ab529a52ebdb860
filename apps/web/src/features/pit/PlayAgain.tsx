import Typography from '@mui/material/Typography';
import Slider from '@mui/material/Slider';
import Button from '@mui/material/Button';
import type { PitWatch } from '@bunkhouse/core';
import { clockTime, dayOf } from '../../reader/times';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  playAgain: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '8px 14px',
    alignItems: 'center',
    padding: '8px 12px 12px',
    '& label': { font: signed(16, 20, 600) },
    '& input': { flex: '1 1 200px', height: '44px', accentColor: t.ink },
  },
  num: { fontSize: '22px', minWidth: '60px', textAlign: 'right' },
} as const;

const STEP_MS = 60_000;

/** The whole cook, played again: everything on the page is then as it was at that minute. */
export function PlayAgain({
  watch,
  endAt,
  playedAt,
  onPlay,
}: {
  watch: PitWatch;
  endAt: number;
  playedAt: number | null;
  onPlay: (at: number | null) => void;
}) {
  const from = watch.log.onAt ?? endAt;
  const to = Math.max(endAt, from + STEP_MS);
  const at = playedAt ?? to;
  return (
    <Box sx={styles.playAgain}>
      <Typography variant="head" component="span" id="play">
        Play it again
      </Typography>
      <Slider
        aria-labelledby="play"
        min={0}
        max={Math.ceil((to - from) / STEP_MS)}
        value={Math.round((at - from) / STEP_MS)}
        getAriaValueText={() => `${dayOf(at)} ${clockTime(at)}`}
        onChange={(_event, steps) => onPlay(Math.min(to, from + steps * STEP_MS))}
      />
      <Box component="output" sx={[looks.num, styles.num]}>
        {clockTime(at)}
      </Box>
      <Button variant="quiet" disabled={playedAt === null} onClick={() => onPlay(null)}>
        To the end
      </Button>
    </Box>
  );
}

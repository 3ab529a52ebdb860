import Slider from '@mui/material/Slider';
import Button from '@mui/material/Button';
import type { CourseMark, CureCourse } from '@bunkhouse/core';
import { digits } from '../../../reader/quantities';
import Box from '@mui/material/Box';
import { looks } from '../../../theme/looks';
import { t } from '../../../theme/tokens';

const styles = {
  scrubber: {
    display: 'grid',
    gridTemplateColumns: '1fr 74px',
    gap: '0 12px',
    alignItems: 'center',
    '& input': { width: '100%', height: '44px', accentColor: t.ink, margin: 0 },
    '& .MuiButton-text': { minHeight: '28px' },
  },
  stops: { gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', gap: '4px 22px' },
} as const;

const STOPS: Readonly<Partial<Record<CourseMark['kind'], string>>> = {
  pump: 'the needle',
  meatIn: 'meat in',
  pull: 'the pull',
  soakOut: 'out of the water',
  plate: 'the plate',
};

/** A tenth of a day. */
const STEP_H = 2.4;

/** From the pump to the plate. Arrow keys move a tenth of a day, Page keys a day. */
export function Scrubber({ atH, endH, course, onChange }: { atH: number; endH: number; course: CureCourse; onChange: (h: number | null) => void }) {
  const stops = course.marks.flatMap((mark) => {
    const word = STOPS[mark.kind];
    return word === undefined ? [] : [{ ...mark, word }];
  });
  // The end is a step, too; a whole number of steps is not one more for its rounding.
  const last = Math.ceil(endH / STEP_H - 1e-6);
  return (
    <Box sx={styles.scrubber}>
      <Slider
        aria-label="Time in the cure"
        getAriaValueText={() => `day ${digits(atH / 24, 1)}`}
        max={last}
        shiftStep={24 / STEP_H}
        value={atH >= endH ? last : Math.round(atH / STEP_H)}
        onChange={(_event, steps) => onChange(Math.min(endH, steps * STEP_H))}
      />
      <Box component="b" sx={looks.num}>
        day {digits(atH / 24, 1)}
      </Box>
      <Box sx={styles.stops}>
        <Button variant="text" onClick={() => onChange(null)}>
          now
        </Button>
        {stops.map((mark) => (
          <Button key={`${mark.kind}${mark.atH}`} variant="text" onClick={() => onChange(Math.min(endH, mark.atH))}>
            {mark.word}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

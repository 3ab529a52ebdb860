import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { MomentField } from '../../kit/MomentField';
import { Tick } from '../../kit/Tick';
import { fieldTime } from '../../reader/times';
import { styles } from './recordStyles';

/** A time that is not written to its end is no time: the log asks for it. */
const UNWRITTEN = '?';

interface WhenFieldProps {
  at: string;
  now: number;
  /** nobody looked at the clock: it is about right */
  about: boolean;
  onChange: (at: string, about: boolean) => void;
  fault: string | undefined;
  /** under a step of few fields */
  isShort: boolean;
}

/** When it was: now, until somebody says that it was earlier. */
export function WhenField({ at, now, about, onChange, fault, isShort }: WhenFieldProps) {
  if (at === '') {
    return (
      <Box component="p" sx={[styles.when, isShort && styles.whenShort]}>
        <span>With the time now.</span>
        <Button variant="text" onClick={() => onChange(fieldTime(now), about)}>
          It was earlier
        </Button>
      </Box>
    );
  }
  return (
    <>
      <MomentField
        label="When it was"
        value={at}
        onChange={(next) => onChange(next === '' ? UNWRITTEN : next, about)}
        error={fault}
        action={
          <Button variant="quiet" onClick={() => onChange('', false)}>
            Now
          </Button>
        }
      />
      <Tick label="About then: nobody looked at the clock" checked={about} onChange={(isAbout) => onChange(at, isAbout)} />
    </>
  );
}

import { WordsField } from '../kit/WordsField';
import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import Box from '@mui/material/Box';
import { t } from '../theme/tokens';
import { go } from '../theme/surfaces';

const styles = {
  pin: { display: 'grid', gap: '10px', '& .MuiOutlinedInput-input': { fontSize: '34px', letterSpacing: '.3em', textAlign: 'center', minHeight: '60px' } },
  pinKeys: {
    display: 'grid',
    gridTemplateColumns: 'repeat(3, 1fr)',
    gap: '8px',
    '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { minHeight: '66px', fontSize: '28px', background: t.panel },
    '& .MuiButton-quiet': { fontSize: '20px' },
    '& .MuiButton-contained:not(:disabled)': { background: go.main },
  },
  small: { '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { minHeight: '56px' } },
} as const;

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];
const MOST = 8;

/** A pad for wet fingers; the digits of a keyboard do as well. */
export function PinPad({
  name,
  value,
  isSmall,
  onChange,
  onEnter,
  busy,
}: {
  name: string;
  value: string;
  /** over a dialog, where there is less room */
  isSmall: boolean;
  onChange: (pin: string) => void;
  onEnter: () => void;
  busy: boolean;
}) {
  const field = useRef<HTMLInputElement>(null);
  // At the beginning, and again after a wrong one.
  const isEmpty = value === '';
  useEffect(() => {
    if (isEmpty) field.current?.focus();
  }, [isEmpty]);
  const press = (digit: string) => onChange((value + digit).slice(0, MOST));
  return (
    <Box sx={styles.pin}>
      <WordsField
        label={`PIN of ${name}`}
        inputRef={field}
        type="password"
        inputMode="none"
        autoComplete="off"
        value={value}
        maxLength={MOST}
        onChange={(text) => onChange(text.replace(/\D/g, ''))}
      />
      <Box sx={[styles.pinKeys, isSmall && styles.small]} role="group" aria-label="Digits">
        {KEYS.map((digit) => (
          <Button key={digit} onClick={() => press(digit)}>
            {digit}
          </Button>
        ))}
        <Button variant="quiet" aria-label="Take the last digit back" onClick={() => onChange(value.slice(0, -1))}>
          Back
        </Button>
        <Button onClick={() => press('0')}>0</Button>
        <Button variant="contained" disabled={value.length < 4 || busy} onClick={onEnter}>
          {busy ? 'Looking' : 'In'}
        </Button>
      </Box>
    </Box>
  );
}

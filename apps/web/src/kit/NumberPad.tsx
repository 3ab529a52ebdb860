import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { decimalSign } from '../reader/language';

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3'] as const;

/** Ten large keys for wet hands and gloves: the field keeps its own keyboard for who has dry ones. */
export function NumberPad({
  label,
  anchor,
  text,
  unit,
  mayBeNegative,
  onType,
  onClose,
}: {
  label: string;
  anchor: HTMLElement | null;
  text: string;
  unit: string;
  mayBeNegative: boolean;
  onType: (text: string) => void;
  onClose: () => void;
}) {
  const key = (sign: string, name: string, next: string) => (
    <Button key={name} aria-label={name} onClick={() => onType(next)} sx={{ minHeight: 64, minWidth: 72, fontSize: 30 }}>
      {sign}
    </Button>
  );
  const isNegative = text.startsWith('-') || text.startsWith('−');
  return (
    <Popover
      open={anchor !== null}
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': `${label}, number pad`, sx: { padding: '10px', width: 'min(300px, calc(100vw - 20px))' } } }}
    >
      <Box
        component="output"
        aria-live="polite"
        sx={{ display: 'block', textAlign: 'right', fontSize: 34, lineHeight: '40px', fontWeight: 600, padding: '0 6px 8px', minHeight: 48 }}
      >
        {text === '' ? '–' : text} <small>{unit}</small>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, minmax(0, 1fr))', gap: '8px' }}>
        {DIGITS.map((digit) => key(digit, digit, text + digit))}
        {key(decimalSign(), 'Decimal sign', /[.,]/.test(text) ? text : `${text === '' ? '0' : text}${decimalSign()}`)}
        {key('0', '0', `${text}0`)}
        {key('⌫', 'Take back', text.slice(0, -1))}
        {mayBeNegative && key('±', 'Below zero', isNegative ? text.slice(1) : `-${text}`)}
        <Button variant="contained" onClick={onClose} sx={{ gridColumn: mayBeNegative ? 'span 2' : '1 / -1', minHeight: 64, fontSize: 22 }}>
          Done
        </Button>
      </Box>
    </Popover>
  );
}

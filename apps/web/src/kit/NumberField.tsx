import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import OutlinedInput from '@mui/material/OutlinedInput';
import Typography from '@mui/material/Typography';
import { lazy, Suspense, useState, type Ref } from 'react';
import { Keys } from '../theme/marks';
import { Labelled } from './Labelled';
import { decimalSign } from '../reader/language';
import { usePreferences } from '../reader/preferences';
import { readNumber, scaleOf, toKept, toShown, type Quantity } from '../reader/quantities';

// It comes when its key is tapped.
const NumberPad = lazy(async () => ({ default: (await import('./NumberPad')).NumberPad }));

interface NumberFieldProps {
  label: string;
  /** what it is of: its unit is the one that is switched to; or a fixed sign such as `%` */
  quantity?: Quantity;
  sign?: string;
  decimals?: number;
  /** in g, mm, °C or mL, or as it is for a fixed sign; NaN for text that is no number */
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  error?: string | undefined;
  hint?: string | undefined;
  placeholder?: string | undefined;
  autoFocus?: boolean;
  big?: boolean;
  inputRef?: Ref<HTMLInputElement>;
}

/** At arm's length, with wet hands. */
const BIG = { '& .MuiOutlinedInput-root': { minHeight: 56 }, '& input.MuiOutlinedInput-input': { fontSize: 28 } };

/** The one field for a number: comma or point, its unit beside it and switched on the spot. */
export function NumberField({ label, quantity, sign, decimals, value, onChange, error, hint, placeholder, autoFocus, big, inputRef }: NumberFieldProps) {
  const preferences = usePreferences();
  const scale = quantity === undefined ? null : scaleOf(quantity, preferences);
  const unit = scale?.sign ?? sign ?? '';
  const [typed, setTyped] = useState<{ text: string; value: number | undefined; unit: string } | null>(null);
  const asTyped = typed !== null && typed.unit === unit && Object.is(typed.value, value);
  const text = asTyped
    ? typed.text
    : value === undefined || Number.isNaN(value)
      ? ''
      : plain(quantity === undefined ? value : toShown(value, quantity, preferences), decimals ?? scale?.decimals ?? 2);
  const type = (next: string) => {
    const read = readNumber(next);
    const kept = next.trim() === '' ? undefined : read === null ? Number.NaN : quantity === undefined ? read : tryKept(read, quantity, preferences);
    setTyped({ text: next, value: kept, unit });
    onChange(kept);
  };
  const switchUnit = () => {
    if (quantity === 'temperature') preferences.change({ temperature: preferences.temperature === 'C' ? 'F' : 'C' });
    else preferences.change({ system: preferences.system === 'metric' ? 'us' : 'metric' });
  };
  const [pad, setPad] = useState<HTMLElement | null>(null);
  const unitCell =
    quantity === undefined ? (
      <Typography variant="fact" sx={{ padding: '0 12px', color: 'ink2' }}>
        {unit}
      </Typography>
    ) : (
      <Button variant="unit" onClick={switchUnit} aria-label={`${label} is in ${unit}: switch unit`}>
        {unit}
      </Button>
    );
  return (
    <Labelled label={label} error={error} hint={hint} sx={big ? BIG : {}}>
      {({ id, ...ties }) => (
        <>
          <OutlinedInput
            id={id}
            value={text}
            autoComplete="off"
            {...(placeholder === undefined ? {} : { placeholder })}
            {...(autoFocus === undefined ? {} : { autoFocus })}
            {...(inputRef === undefined ? {} : { inputRef })}
            onChange={(event) => type(event.target.value)}
            inputProps={{ ...ties, inputMode: 'decimal' }}
            {...(unit === '' && big !== true
              ? {}
              : {
                  endAdornment: (
                    <InputAdornment position="end">
                      {big === true && (
                        <Button variant="unit" aria-label={`Number pad for ${label}`} aria-haspopup="dialog" onClick={(event) => setPad(event.currentTarget)}>
                          <Keys />
                        </Button>
                      )}
                      {unit !== '' && unitCell}
                    </InputAdornment>
                  ),
                })}
          />
          {pad !== null && (
            <Suspense>
              <NumberPad
                label={label}
                anchor={pad}
                text={text}
                unit={unit}
                mayBeNegative={quantity === 'temperature'}
                onType={type}
                onClose={() => setPad(null)}
              />
            </Suspense>
          )}
        </>
      )}
    </Labelled>
  );
}

/** A temperature colder than can be is no number. */
function tryKept(value: number, quantity: Quantity, shown: Parameters<typeof toKept>[2]): number {
  try {
    return toKept(value, quantity, shown);
  } catch {
    return Number.NaN;
  }
}

const plain = (value: number, decimals: number): string => String(Number(value.toFixed(decimals))).replace('.', decimalSign());

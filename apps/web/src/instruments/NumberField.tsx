import { useId, useState } from 'react';
import { decimalSign } from '../shell/language';
import { usePreferences } from '../shell/preferences';
import { readNumber, scaleOf, toKept, toShown, type Quantity } from '../shell/quantities';

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
}

/** The one field for a number: comma or point, its unit beside it and switched on the spot. */
export function NumberField({ label, quantity, sign, decimals, value, onChange, error, hint, placeholder, autoFocus, big }: NumberFieldProps) {
  const id = useId();
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
  return (
    <div className={`field number${big ? ' big' : ''}${error ? ' wrong' : ''}`}>
      <label className="label" htmlFor={id}>
        {label}
      </label>
      <div className="box-row">
        <input
          id={id}
          className="box"
          inputMode="decimal"
          autoComplete="off"
          value={text}
          placeholder={placeholder}
          autoFocus={autoFocus}
          aria-invalid={error ? true : undefined}
          aria-describedby={error || hint ? `${id}-said` : undefined}
          onChange={(event) => type(event.target.value)}
        />
        {quantity === undefined ? (
          unit !== '' && <span className="box-unit">{unit}</span>
        ) : (
          <button type="button" className="box-unit" onClick={switchUnit} aria-label={`${label} is in ${unit}: switch unit`}>
            {unit}
          </button>
        )}
      </div>
      {(error ?? hint) !== undefined && (
        <p id={`${id}-said`} className={error ? 'fault' : 'note'} role={error ? 'alert' : undefined}>
          {error ?? hint ?? ''}
        </p>
      )}
    </div>
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

import { useEffect, useRef } from 'react';

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];
const MOST = 8;

/** A pad for wet fingers; the digits of a keyboard do as well. */
export function PinPad({
  name,
  value,
  onChange,
  onEnter,
  busy,
}: {
  name: string;
  value: string;
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
    <div className="pin">
      <label className="field">
        <span className="label">PIN of {name}</span>
        <input
          ref={field}
          className="box"
          type="password"
          inputMode="none"
          autoComplete="off"
          value={value}
          maxLength={MOST}
          onChange={(event) => onChange(event.target.value.replace(/\D/g, ''))}
        />
      </label>
      <div className="pin-keys" role="group" aria-label="Digits">
        {KEYS.map((digit) => (
          <button key={digit} type="button" className="btn" onClick={() => press(digit)}>
            {digit}
          </button>
        ))}
        <button type="button" className="btn quiet" aria-label="Take the last digit back" onClick={() => onChange(value.slice(0, -1))}>
          Back
        </button>
        <button type="button" className="btn" onClick={() => press('0')}>
          0
        </button>
        <button type="button" className="btn go" disabled={value.length < 4 || busy} onClick={onEnter}>
          {busy ? 'Looking' : 'In'}
        </button>
      </div>
    </div>
  );
}

import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';

/** One of a few, side by side. */
export function Choice<V extends string>({
  label,
  value,
  options,
  onChange,
  quiet = false,
}: {
  label: string;
  value: V;
  /** in this order; numbers as names would be sorted, and stand in pairs */
  options: Record<V, string> | readonly (readonly [V, string])[];
  onChange: (value: V) => void;
  /** the label is read aloud only */
  quiet?: boolean;
}) {
  return (
    <div className="field">
      <span className={quiet ? 'sr' : 'label'}>{label}</span>
      <ToggleButtonGroup
        className="choice"
        exclusive
        value={value}
        aria-label={label}
        onChange={(_event, chosen: V | null) => chosen !== null && onChange(chosen)}
      >
        {(Array.isArray(options) ? (options as [V, string][]) : (Object.entries(options) as [V, string][])).map(([key, word]) => (
          <ToggleButton key={key} value={key}>
            {word}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </div>
  );
}

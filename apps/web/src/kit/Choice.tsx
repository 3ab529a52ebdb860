import FormHelperText from '@mui/material/FormHelperText';
import Typography from '@mui/material/Typography';
import { unseen } from '../theme/surfaces';
import Stack from '@mui/material/Stack';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';

/** One of a few, side by side. */
export function Choice<V extends string>({
  label,
  value,
  options,
  onChange,
  quiet = false,
  error,
}: {
  label: string;
  value: V;
  /** in this order; numbers as names would be sorted, and stand in pairs */
  options: Record<V, string> | readonly (readonly [V, string])[];
  onChange: (value: V) => void;
  /** the label is read aloud only */
  quiet?: boolean;
  error?: string | undefined;
}) {
  return (
    <Stack sx={{ gap: '4px', minWidth: 0 }}>
      <Typography variant="label" sx={quiet ? unseen : { color: 'ink3' }}>
        {label}
      </Typography>
      <ToggleButtonGroup exclusive value={value} aria-label={label} onChange={(_event, chosen: V | null) => chosen !== null && onChange(chosen)}>
        {(Array.isArray(options) ? (options as [V, string][]) : (Object.entries(options) as [V, string][])).map(([key, word]) => (
          <ToggleButton key={key} value={key}>
            {word}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {error !== undefined && <FormHelperText error>{error}</FormHelperText>}
    </Stack>
  );
}

import FormControl from '@mui/material/FormControl';
import FormHelperText from '@mui/material/FormHelperText';
import InputLabel from '@mui/material/InputLabel';
import type { SxProps, Theme } from '@mui/material/styles';
import { useId, type ReactNode } from 'react';

export interface LabelledProps {
  label: string;
  /** the label is read aloud only */
  quiet?: boolean;
  error?: string | undefined;
  hint?: ReactNode;
  sx?: SxProps<Theme>;
}

/** What ties an input to its label, and to what is said below it. */
export interface InputTies {
  id: string;
  'aria-label'?: string;
  'aria-describedby'?: string;
}

/** A label above an input; below it what is wrong, or a hint. */
export function Labelled({
  label,
  quiet = false,
  error,
  hint,
  id: given,
  sx = {},
  children,
  ...rest
}: LabelledProps & { id?: string; children: (ties: InputTies) => ReactNode }) {
  const own = useId();
  const id = given ?? own;
  const said = error ?? hint;
  return (
    <FormControl fullWidth error={error !== undefined} sx={sx} {...rest}>
      {!quiet && <InputLabel htmlFor={id}>{label}</InputLabel>}
      {children({ id, ...(quiet ? { 'aria-label': label } : {}), ...(said === undefined ? {} : { 'aria-describedby': `${id}-said` }) })}
      {said !== undefined && (
        <FormHelperText id={`${id}-said`} {...(error === undefined ? {} : { role: 'alert' })}>
          {said}
        </FormHelperText>
      )}
    </FormControl>
  );
}

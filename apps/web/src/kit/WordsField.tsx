import OutlinedInput from '@mui/material/OutlinedInput';
import type { ComponentProps, FocusEventHandler, Ref } from 'react';
import { Labelled, type LabelledProps } from './Labelled';

interface WordsFieldProps extends LabelledProps {
  value: string;
  onChange?: (text: string) => void;
  /** of a text of several lines */
  rows?: number;
  type?: 'text' | 'search' | 'password' | undefined;
  name?: string;
  placeholder?: string;
  maxLength?: number;
  autoComplete?: string;
  autoFocus?: boolean;
  inputMode?: ComponentProps<'input'>['inputMode'];
  readOnly?: boolean;
  onFocus?: FocusEventHandler<HTMLInputElement | HTMLTextAreaElement>;
  inputRef?: Ref<HTMLInputElement>;
}

/** The one field for words. */
export function WordsField({ label, quiet, error, hint, sx, value, onChange, rows, type = 'text', maxLength, inputMode, ...input }: WordsFieldProps) {
  return (
    <Labelled {...{ label, error, hint }} {...(quiet === undefined ? {} : { quiet })} {...(sx === undefined ? {} : { sx })}>
      {({ id, ...ties }) => (
        <OutlinedInput
          id={id}
          value={value}
          onChange={(event) => onChange?.(event.target.value)}
          {...(rows === undefined ? { type } : { multiline: true, minRows: rows })}
          {...input}
          inputProps={{ ...ties, maxLength, inputMode }}
        />
      )}
    </Labelled>
  );
}

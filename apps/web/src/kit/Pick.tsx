import NativeSelect from '@mui/material/NativeSelect';
import OutlinedInput from '@mui/material/OutlinedInput';
import type { ReactNode } from 'react';
import { Labelled, type LabelledProps } from './Labelled';

interface PickProps<V extends string> extends LabelledProps {
  value: V;
  onChange: (value: V) => void;
  id?: string;
  /** `option` elements */
  children: ReactNode;
}

/** One of many, by the device's own list: on a telephone it fills the screen, and wet hands find it. */
export function Pick<V extends string = string>({ value, onChange, children, ...labelled }: PickProps<V>) {
  return (
    <Labelled {...labelled}>
      {(ties) => (
        <NativeSelect value={value} onChange={(event) => onChange(event.target.value as V)} input={<OutlinedInput />} inputProps={ties}>
          {children}
        </NativeSelect>
      )}
    </Labelled>
  );
}

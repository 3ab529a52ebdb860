import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { FormProvider, type FieldValues } from 'react-hook-form';
import { listed } from '../../theme/looks';
import type { RequestForm } from './useRequestForm';

/** A form with its fields, what the house would not have, and its buttons. */
export function SavingForm<T extends FieldValues>({
  of: { form, submit, fault },
  label,
  children,
  acts,
  sx,
}: {
  of: RequestForm<T>;
  label?: string;
  children: ReactNode;
  /** its buttons, below whatever is to be said of the whole */
  acts: ReactNode;
  sx?: SxProps<Theme>;
}) {
  return (
    <FormProvider {...form}>
      <Stack
        component="form"
        noValidate
        {...(label === undefined ? {} : { 'aria-label': label })}
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
        sx={[{ gap: '12px' }, ...listed(sx)]}
      >
        {children}
        {fault !== null && (
          <Typography role="alert" sx={{ color: 'danger.ink', fontWeight: 500 }}>
            {fault}
          </Typography>
        )}
        {acts}
      </Stack>
    </FormProvider>
  );
}

import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import type { ComponentProps, ReactNode } from 'react';
import { useController, useFormContext, type FieldValues, type Path } from 'react-hook-form';
import { Choice } from '../Choice';
import { ClockField } from '../ClockField';
import { DayField, MomentField } from '../MomentField';
import { NumberField } from '../NumberField';
import { Pick } from '../Pick';
import { WordsField } from '../WordsField';
import { fieldTime } from '../../reader/times';

/*
 * The fields of the kit, tied to a field of the request that the form around them writes: `<FormWords<LotRequest> name="supplier" ... />`.
 * A field that may be missing from the request is told so by `mayBe`: left empty, it is not sent.
 */

const useField = <T extends FieldValues>(name: Path<T>) => {
  const { control, getValues } = useFormContext<T>();
  const { field, fieldState } = useController({ control, name });
  // A list as a whole has its fault at `root`. What is in the request: `field.value` is what the form began with again where a field was emptied.
  return {
    value: getValues(name) as unknown,
    set: (value: unknown) => field.onChange(value),
    inputRef: field.ref,
    error: fieldState.error?.message ?? fieldState.error?.root?.message,
  };
};

type Tied<P, T extends FieldValues> = Omit<P, 'value' | 'onChange' | 'error' | 'name'> & { name: Path<T> };

export function FormWords<T extends FieldValues>({
  name,
  mayBe = false,
  without,
  ...field
}: Tied<ComponentProps<typeof WordsField>, T> & { mayBe?: boolean; without?: RegExp }) {
  const { value, set, inputRef, error } = useField<T>(name);
  return (
    <WordsField
      {...field}
      inputRef={inputRef}
      value={(value as string | undefined) ?? ''}
      onChange={(text) => {
        const kept = without === undefined ? text : text.replace(without, '');
        set(mayBe && kept === '' ? undefined : kept);
      }}
      error={error}
    />
  );
}

export function FormNumber<T extends FieldValues>({
  name,
  onTyped,
  empty = undefined,
  ...field
}: Tied<ComponentProps<typeof NumberField>, T> & { onTyped?: () => void; empty?: null | undefined }) {
  const { value, set, inputRef, error } = useField<T>(name);
  return (
    <NumberField
      {...field}
      inputRef={inputRef}
      value={(value as number | null | undefined) ?? undefined}
      onChange={(next) => {
        set(next ?? empty);
        onTyped?.();
      }}
      error={error}
    />
  );
}

export function FormPick<T extends FieldValues>({
  name,
  onPicked,
  children,
  ...field
}: Tied<ComponentProps<typeof Pick>, T> & { onPicked?: (picked: string) => void; children: ReactNode }) {
  const { value, set, error } = useField<T>(name);
  return (
    <Pick
      {...field}
      value={(value as string | undefined) ?? ''}
      onChange={(picked) => {
        set(picked);
        onPicked?.(picked);
      }}
      error={error}
    >
      {children}
    </Pick>
  );
}

export function FormChoice<T extends FieldValues, V extends string>({
  name,
  ...field
}: { name: Path<T> } & Omit<ComponentProps<typeof Choice<V>>, 'value' | 'onChange'>) {
  const { value, set, error } = useField<T>(name);
  return <Choice<V> {...field} value={value as V} onChange={set} error={error} />;
}

/** A time of day, minutes from midnight. */
export function FormClock<T extends FieldValues>({ name, label }: { name: Path<T>; label: string }) {
  const { value, set, error } = useField<T>(name);
  return <ClockField label={label} value={value as number} onChange={set} error={error} />;
}

/** A day and a time, kept as an instant. */
export function FormMoment<T extends FieldValues>({ name, label }: { name: Path<T>; label: string }) {
  const { value, set, error } = useField<T>(name);
  const at = typeof value === 'string' && value !== '' ? fieldTime(value) : '';
  return <MomentField label={label} value={at} onChange={(next) => set(dayjs(next).isValid() ? dayjs(next).toISOString() : '')} error={error} />;
}

/** What is wrong with several fields together. */
export function FormFault<T extends FieldValues>({ name }: { name: Path<T> }) {
  const { error } = useField<T>(name);
  return error === undefined ? null : (
    <Typography variant="fault" role="alert">
      {error}
    </Typography>
  );
}

/** A day that may be missing, kept as a day, or as the instant at which it ends here. */
export function FormDay<T extends FieldValues>({ name, label, as = 'day' }: { name: Path<T>; label: string; as?: 'day' | 'itsEnd' }) {
  const { value, set, error } = useField<T>(name);
  const day = value == null || value === '' ? '' : dayjs(value as string).format('YYYY-MM-DD');
  const kept = (next: string) => (next === '' ? undefined : as === 'day' ? next : dayjs(next).endOf('day').toISOString());
  return <DayField label={label} value={day} onChange={(next) => set(kept(next))} error={error} />;
}

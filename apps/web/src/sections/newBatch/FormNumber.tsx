import type { BatchRequest } from '@bunkhouse/api';
import { Controller, useFormContext, type Path } from 'react-hook-form';
import { NumberField } from '../../instruments/NumberField';
import type { Quantity } from '../../shell/quantities';

/** A number of the form of a new batch, with the fault that the server would find. */
export function FormNumber({
  name,
  label,
  quantity,
  sign,
  decimals,
  hint,
  onTyped,
}: {
  name: Path<BatchRequest>;
  label: string;
  quantity?: Quantity;
  sign?: string;
  decimals?: number;
  hint?: string | undefined;
  onTyped?: () => void;
}) {
  const { control } = useFormContext<BatchRequest>();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <NumberField
          label={label}
          {...(quantity === undefined ? {} : { quantity })}
          {...(sign === undefined ? {} : { sign })}
          {...(decimals === undefined ? {} : { decimals })}
          value={field.value as number | undefined}
          onChange={(value) => {
            field.onChange(value);
            onTyped?.();
          }}
          error={fieldState.error?.message}
          hint={hint}
        />
      )}
    />
  );
}

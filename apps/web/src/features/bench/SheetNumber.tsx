import { Pick } from '../../kit/Pick';
import { useSay } from '../../reader/reader';
import type { BenchSheet } from '@bunkhouse/core';
import { NumberField } from '../../kit/NumberField';
import type { Quantity } from '../../reader/quantities';
import { faultOf, useSheetContext } from './useSheet';

type NumberKey = { [K in keyof BenchSheet]-?: BenchSheet[K] extends number | undefined ? K : never }[keyof BenchSheet];

/** A number of the sheet. */
export function SheetNumber({
  field,
  label,
  optional,
  hint,
  ...how
}: {
  field: NumberKey;
  label: string;
  quantity?: Quantity;
  sign?: string;
  decimals?: number;
  hint?: string | undefined;
  optional?: boolean;
  placeholder?: string;
}) {
  const { sheet, change, fault } = useSheetContext();
  const say = useSay();
  const value = sheet[field];
  const missing = value === undefined && optional === true;
  const error = missing
    ? undefined
    : value === undefined || Number.isNaN(value)
      ? 'A number, please.'
      : fault?.field === field
        ? say(faultOf(fault))
        : undefined;
  return (
    <NumberField
      label={label}
      {...how}
      value={value}
      hint={hint}
      error={error}
      onChange={(next) => change({ [field]: next ?? (optional === true ? undefined : Number.NaN) })}
    />
  );
}

/** One of many, by a list. */
export function SheetSelect<V extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: V;
  options: readonly (readonly [value: V, name: string])[];
  onChange: (value: V) => void;
}) {
  return (
    <Pick label={label} value={value} onChange={onChange}>
      {options.map(([key, name]) => (
        <option key={key} value={key}>
          {name}
        </option>
      ))}
    </Pick>
  );
}

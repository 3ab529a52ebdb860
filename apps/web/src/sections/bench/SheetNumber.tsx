import { useSay } from '../../shell/reader';
import type { BenchSheet } from '@bunkhouse/core';
import { useId } from 'react';
import { NumberField } from '../../instruments/NumberField';
import type { Quantity } from '../../shell/quantities';
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
  const id = useId();
  return (
    <div className="field">
      <label className="label" htmlFor={id}>
        {label}
      </label>
      <select id={id} className="box" value={value} onChange={(event) => onChange(event.target.value as V)}>
        {options.map(([key, name]) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </select>
    </div>
  );
}

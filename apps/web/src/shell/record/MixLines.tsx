import { brineOf, type StepValues } from '@bunkhouse/core';
import type { Batch } from '../../data/batches';
import { NumberField } from '../../instruments/NumberField';
import { Glyph } from '../glyphs';
import { usePreferences } from '../preferences';
import { inWords } from '../quantities';
import { asNumber } from './typed';
import { cureName } from '../tradeWords';

/** Mixing as a tick list: each line weighed, or ticked as on the sheet. */
export function MixLines({
  batch,
  stepId,
  values,
  setValue,
  faultAt,
}: {
  batch: Batch;
  stepId: string;
  values: Partial<StepValues>;
  setValue: (name: string, value: number | undefined) => void;
  faultAt: (field: string) => string | undefined;
}) {
  const preferences = usePreferences();
  const { design } = batch.state;
  const brine = batch.state.facts.brines.find((candidate) => candidate.id === brineOf(stepId));
  if (brine === undefined) return null;
  const lines = [
    { name: 'waterG', label: 'Water and ice', grams: brine.waterG, quantity: 'mass' as const, step: design.meatScaleStepG },
    { name: 'saltG', label: 'Salt', grams: brine.saltG, quantity: 'mass' as const, step: design.meatScaleStepG },
    { name: 'sugarG', label: 'Sugar', grams: brine.sugarG, quantity: 'mass' as const, step: design.meatScaleStepG },
    // Salted meat has no cure to weigh.
    ...(design.nitritePpm > 0
      ? [{ name: 'cureG', label: cureName(design.cure.name), grams: brine.cureG, quantity: 'smallMass' as const, step: design.cureScaleStepG }]
      : []),
    ...(brine.acceleratorG === undefined
      ? []
      : [{ name: 'acceleratorG', label: 'Ascorbate or erythorbate', grams: brine.acceleratorG, quantity: 'smallMass' as const, step: design.cureScaleStepG }]),
  ];
  return (
    <ul className="mix-lines">
      {lines.map(({ name, label, grams, quantity, step }) => {
        const target = Number((Math.round(grams / step) * step).toFixed(4));
        return (
          <li key={name} className={`${name === 'cureG' ? 'cure ' : ''}${values[name] === undefined ? 'open' : 'weighed'}`}>
            <span className="target">
              <span className="mix-name">{label}</span>
              <span className="num">{inWords(target, quantity, preferences)}</span>
            </span>
            <NumberField
              label={`${label}, weighed`}
              quantity={quantity}
              value={asNumber(values[name])}
              onChange={(value) => setValue(name, value)}
              error={faultAt(`values.${name}`)}
            />
            <button
              type="button"
              className="btn"
              onClick={() => setValue(name, target)}
              aria-label={`${label}: weighed so, ${inWords(target, quantity, preferences)}`}
            >
              <Glyph name="tick" />
              Weighed so
            </button>
          </li>
        );
      })}
    </ul>
  );
}

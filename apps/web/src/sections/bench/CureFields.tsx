import { CURE_1, CURE_2, CURE_MIXES, CURING_SALT_05, CURING_SALT_06, READY_MIX, type CureMix } from '@bunkhouse/core';
import { useId } from 'react';
import { NumberField } from '../../instruments/NumberField';
import { Choice } from '../../shell/Choice';
import { cureId } from '../../shell/benchAddress';
import { SheetSelect } from './SheetNumber';
import { useSheetContext } from './useSheet';
import { cureName } from '../../shell/tradeWords';

const OFFERED = [CURE_1, CURING_SALT_05, CURING_SALT_06, READY_MIX, CURE_2];
const OWN = 'own';
const OWN_FIRST: CureMix = { name: 'Our cure', nitritePercent: 6.25, nitratePercent: 0, saltPercent: 93.75, mayPump: true };

/** Which cure, or what its label says. */
export function CureFields() {
  const { sheet, change } = useSheetContext();
  const { cure } = sheet;
  const nameId = useId();
  const id = cureId(cure) ?? OWN;
  const set = (part: Partial<CureMix>) => change({ cure: { ...cure, ...part } });
  return (
    <>
      <SheetSelect
        label="Which cure"
        value={id}
        options={[...OFFERED.map((mix) => [cureId(mix) ?? '', cureName(mix.name)] as const), [OWN, 'By its label'] as const]}
        onChange={(chosen) => change({ cure: CURE_MIXES[chosen] ?? OWN_FIRST })}
      />
      {id === OWN && (
        <fieldset className="label-fields">
          <legend className="sr">The label of the cure</legend>
          <div className="field">
            <label className="label" htmlFor={nameId}>
              Name on the label
            </label>
            <input id={nameId} className="box" maxLength={60} value={cure.name} onChange={(event) => set({ name: event.target.value })} />
          </div>
          <div className="trio">
            <NumberField label="Nitrite" sign="%" value={cure.nitritePercent} onChange={(value) => set({ nitritePercent: value ?? Number.NaN })} />
            <NumberField label="Nitrate" sign="%" value={cure.nitratePercent} onChange={(value) => set({ nitratePercent: value ?? Number.NaN })} />
            <NumberField label="Salt" sign="%" value={cure.saltPercent} onChange={(value) => set({ saltPercent: value ?? Number.NaN })} />
          </div>
          <Choice
            label="May it be pumped"
            value={cure.mayPump === false ? 'no' : 'yes'}
            options={{ yes: 'Yes', no: 'No, says the label' }}
            onChange={(said) => set({ mayPump: said === 'yes' })}
          />
        </fieldset>
      )}
    </>
  );
}

import Box from '@mui/material/Box';
import { unseen } from '../../theme/surfaces';
import { CURE_1, CURE_2, CURE_MIXES, CURING_SALT_05, CURING_SALT_06, READY_MIX, type CureMix } from '@bunkhouse/core';
import { WordsField } from '../../kit/WordsField';
import { NumberField } from '../../kit/NumberField';
import { Choice } from '../../kit/Choice';
import { cureId } from '../../acts/benchAddress';
import { SheetSelect } from './SheetNumber';
import { useSheetContext } from './useSheet';
import { cureName } from '../../reader/words/tradeWords';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  labelFields: { display: 'grid', gap: '12px', paddingLeft: '10px', borderLeft: `3px solid ${t.nitrite.main}` },
  trio: { gridTemplateColumns: 'repeat(3, minmax(0, 1fr))' },
} as const;

const OFFERED = [CURE_1, CURING_SALT_05, CURING_SALT_06, READY_MIX, CURE_2];
const OWN = 'own';
const OWN_FIRST: CureMix = { name: 'Our cure', nitritePercent: 6.25, nitratePercent: 0, saltPercent: 93.75, mayPump: true };

/** Which cure, or what its label says. */
export function CureFields() {
  const { sheet, change } = useSheetContext();
  const { cure } = sheet;
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
        <Box component="fieldset" sx={styles.labelFields}>
          <Box component="legend" sx={unseen}>
            The label of the cure
          </Box>
          <WordsField label="Name on the label" maxLength={60} value={cure.name} onChange={(text) => set({ name: text })} />
          <Box sx={[looks.trio, styles.trio]}>
            <NumberField label="Nitrite" sign="%" value={cure.nitritePercent} onChange={(value) => set({ nitritePercent: value ?? Number.NaN })} />
            <NumberField label="Nitrate" sign="%" value={cure.nitratePercent} onChange={(value) => set({ nitratePercent: value ?? Number.NaN })} />
            <NumberField label="Salt" sign="%" value={cure.saltPercent} onChange={(value) => set({ saltPercent: value ?? Number.NaN })} />
          </Box>
          <Choice
            label="May it be pumped"
            value={cure.mayPump === false ? 'no' : 'yes'}
            options={{ yes: 'Yes', no: 'No, says the label' }}
            onChange={(said) => set({ mayPump: said === 'yes' })}
          />
        </Box>
      )}
    </>
  );
}

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { BatchRequest } from '@bunkhouse/api';
import { CURE_1, CURE_2, CURING_SALT_05, CURING_SALT_06, READY_MIX, RULE_SETS, type CureMix } from '@bunkhouse/core';
import { useFormContext, useWatch } from 'react-hook-form';
import { Choice } from '../../kit/Choice';
import { Pick } from '../../kit/Pick';
import { fewDigits } from '../../reader/quantities';
import { cureInWords, cureName } from '../../reader/words/tradeWords';
import { looks } from '../../theme/looks';
import { paired } from '../../theme/surfaces';
import { t } from '../../theme/tokens';
import { FormNumber, FormWords } from '../../kit/form/fields';

const styles = {
  label: { display: 'grid', gap: '12px', padding: '0 0 0 10px', margin: 0, border: 0, borderLeft: `3px solid ${t.nitrite.main}` },
} as const;

const OFFERED = [CURE_1, CURING_SALT_05, CURING_SALT_06, CURE_2];
const READY_BRINE = 'Ready brine';
const NONE = 'none';
const OWN = 'own';

const DOSES = [
  ['aim', 'By nitrite'],
  ['label', 'By its label'],
] as const;

/** The ways in which a label, or the whole salt, may say how much: one brine, or a rub. */
export const takesDose = (way: string): boolean => way !== 'pumpAndCover' && way !== 'clock';

/**
 * A label that nobody has read yet: its figures are asked for, not made up. Each says so itself: where one is only missing, a form shows what it
 * began with, the figure of another cure.
 */
const unread = (name: string, known: Partial<CureMix> = {}): BatchRequest['cure'] => ({
  name,
  nitritePercent: Number.NaN,
  nitratePercent: Number.NaN,
  saltPercent: Number.NaN,
  ...known,
});

/** `Cure #1, 150 ppm` */
export function cureNow({ cure, dose, nitritePpm }: BatchRequest): string {
  if (nitritePpm === 0 && dose === undefined) return 'No cure: fresh salted meat';
  const name = cureName(cure?.name ?? CURE_1.name);
  if (dose?.by === 'wholeSalt') return `${name}, the whole salt`;
  if (dose?.by === 'written') return (dose.cureG ?? 0) > 0 ? `${name}, as written` : 'No cure: fresh salted meat';
  if (dose?.by !== 'label') return `${name}, ${nitritePpm} ppm`;
  return Number.isFinite(dose.gPerKg) ? `${name}, ${fewDigits(dose.gPerKg ?? 0)} g/kg of ${dose.per ?? 'meat'}` : `${name}, by its label`;
}

/** Which cure, by its label, and how much of it: by the nitrite aimed at, by the label, or as the whole salt. */
export function CureOfBatch({ way }: { way: string }) {
  const { control, setValue, clearErrors } = useFormContext<BatchRequest>();
  const [cure, dose, ppm, ruleSet] = useWatch({ control, name: ['cure', 'dose', 'nitritePpm', 'ruleSet'] });
  const name = cure?.name ?? CURE_1.name;
  const isNone = ppm === 0 && dose === undefined;
  const isOffered = OFFERED.some((mix) => mix.name === name);
  const chosen = isNone ? NONE : isOffered ? name : name === READY_MIX.name || name === READY_BRINE ? name : OWN;
  const set = (next: BatchRequest['cure'], how: BatchRequest['dose']) => {
    // What the label says is not asked for loudly before anybody could read it.
    clearErrors(['cure', 'dose']);
    setValue('cure', next);
    setValue('dose', takesDose(way) ? how : undefined);
    if (ppm === 0) setValue('nitritePpm', ruleSet === 'house' ? RULE_SETS.us.usualTarget : RULE_SETS[ruleSet].usualTarget, { shouldValidate: true });
  };
  const byLabel: BatchRequest['dose'] = { by: 'label', per: 'meat', gPerKg: Number.NaN };
  const choose = (picked: string) => {
    const known = OFFERED.find((mix) => mix.name === picked);
    if (known !== undefined) set(known === CURE_1 ? undefined : { ...known }, isWholeSalt(known) ? { by: 'wholeSalt' } : undefined);
    else if (picked === READY_MIX.name) set(unread(READY_MIX.name, { mayPump: false }), byLabel);
    else if (picked === READY_BRINE) set(unread(READY_BRINE, { mayPump: false, waterPercent: Number.NaN }), byLabel);
    else if (picked === OWN) set(unread('Our cure'), undefined);
    else {
      setValue('cure', undefined);
      setValue('dose', undefined);
      setValue('acceleratorPpm', undefined);
      setValue('nitritePpm', 0, { shouldValidate: true });
    }
  };
  const isBrine = cure !== undefined && 'waterPercent' in cure;
  const mayBeWholeSalt = dose?.by === 'wholeSalt' || isWholeSalt(cure ?? CURE_1);
  const isLabelled = !isNone && !isOffered;
  return (
    <>
      <Pick label="Which cure" value={chosen} onChange={choose}>
        {OFFERED.map((mix) => (
          <option key={mix.name} value={mix.name}>
            {cureInWords(mix)}
          </option>
        ))}
        <option value={READY_MIX.name}>Ready mix, by its label</option>
        <option value={READY_BRINE}>Ready brine, by its label</option>
        <option value={OWN}>Another, by its label</option>
        <option value={NONE}>Salt only, no cure</option>
      </Pick>
      {isNone && <Typography variant="note">Fresh salted meat, not a cure: grey inside, not for a slow smoke, days and not weeks in the cold.</Typography>}
      {isLabelled && <LabelFields isBrine={isBrine} />}
      {!isNone && takesDose(way) && (
        <Choice
          label="How much of it"
          value={dose?.by ?? 'aim'}
          options={[
            ...DOSES,
            ...(mayBeWholeSalt ? [['wholeSalt', 'As the whole salt'] as const] : []),
            ...(dose?.by === 'written' ? [['written', 'As written'] as const] : []),
          ]}
          onChange={(by) => {
            if (by !== dose?.by) setValue('dose', by === 'aim' ? undefined : by === 'label' ? { ...byLabel } : { by });
          }}
        />
      )}
      {dose?.by === 'written' && (
        <Box sx={looks.trio}>
          <FormNumber<BatchRequest> name="dose.saltG" label="Salt, as written" quantity="mass" />
          <FormNumber<BatchRequest> name="dose.sugarG" label="Sugar, as written" quantity="mass" />
          <FormNumber<BatchRequest> name="dose.cureG" label="Cure, as written" quantity="smallMass" />
        </Box>
      )}
      {dose?.by === 'label' && (
        <Box sx={paired}>
          <FormNumber<BatchRequest>
            name="dose.gPerKg"
            label="The label says"
            sign="g/kg"
            hint={`for each kilogram of ${dose.per === 'water' ? 'water' : 'meat'}`}
          />
          {way !== 'dryRub' && !isBrine && (
            <Choice
              label="For a kilogram of"
              value={dose.per ?? 'meat'}
              options={{ meat: 'Meat', water: 'Water' }}
              onChange={(per) => setValue('dose.per', per, { shouldValidate: true })}
            />
          )}
        </Box>
      )}
      {dose === undefined && <FormNumber<BatchRequest> name="nitritePpm" label="Nitrite aimed at" sign="ppm" />}
      {!isNone && dose === undefined && (
        <FormNumber<BatchRequest>
          name="acceleratorPpm"
          label="Ascorbate or erythorbate"
          sign="ppm"
          hint="none when left empty; 550 at the most, 250 for a slow chill"
        />
      )}
    </>
  );
}

/** Weak enough to be the whole salt. */
const isWholeSalt = ({ nitritePercent }: Pick<CureMix, 'nitritePercent'>): boolean => nitritePercent <= 2;

/** What the label of a cure says: kept with the batch, and held against how it is used. */
function LabelFields({ isBrine }: { isBrine: boolean }) {
  const { control, setValue } = useFormContext<BatchRequest>();
  const mayPump = useWatch({ control, name: 'cure.mayPump' });
  return (
    <Box component="fieldset" sx={styles.label}>
      <Typography variant="label" component="legend">
        Its label
      </Typography>
      <FormWords<BatchRequest> name="cure.name" label="Name on the label" maxLength={60} />
      <Box sx={looks.trio}>
        <FormNumber<BatchRequest> name="cure.nitritePercent" label="Nitrite" sign="%" decimals={2} />
        <FormNumber<BatchRequest> name="cure.nitratePercent" label="Nitrate" sign="%" decimals={2} />
        <FormNumber<BatchRequest> name="cure.saltPercent" label="Salt" sign="%" decimals={1} />
      </Box>
      <Box sx={paired}>
        <FormNumber<BatchRequest> name="cure.sugarPercent" label="Sugar" sign="%" decimals={1} hint="empty for none" />
        {isBrine && <FormNumber<BatchRequest> name="cure.waterPercent" label="Water" sign="%" decimals={1} />}
      </Box>
      <Choice
        label="May it be pumped"
        value={mayPump === false ? 'no' : 'yes'}
        options={{ yes: 'Yes', no: 'No, says the label' }}
        onChange={(said) => setValue('cure.mayPump', said === 'yes', { shouldValidate: true })}
      />
    </Box>
  );
}

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded, paired } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { requestRules, type BatchRequest } from '@bunkhouse/api';
import { COLD_MOST_C, daysOf, PUMP_ABOVE_MM, RULE_SET_IDS, RULE_SETS, USUAL_STRONG_PERCENT, usualWaterG, type Process, type School } from '@bunkhouse/core';
import { useEffect, useState } from 'react';
import { useFormContext, useFormState, useWatch, type Path } from 'react-hook-form';
import { Fold } from '../../kit/Fold';
import { Panel } from '../../kit/Panel';
import { Pick } from '../../kit/Pick';
import { usePreferences } from '../../reader/preferences';
import { fewDigits, inWords } from '../../reader/quantities';
import { HouseScales } from '../../kit/HouseScales';
import { CureOfBatch, cureNow, takesDose } from './CureOfBatch';
import { FormNumber } from '../../kit/form/fields';
import { OwnLines } from './OwnLines';
import { isReadyBrine } from './planOf';
import { useProcess } from './useProcess';
import { looks } from '../../theme/looks';

/** A strong pickle is a cure that lies, but not until it is even. */
type Way = School['kind'] | 'clock';

/** Each way by its name, and what it trades off. */
const WAYS: Record<Way, readonly [name: string, says: string]> = {
  equilibrium: ['By weight, until even', `It lies until even: cannot become too salty, but slow above ${PUMP_ABOVE_MM} mm.`],
  pumpAndCover: ['Pump, and a cover of its own', 'A strong pickle by the needle, a mild cover that holds it: quick, and sure beside the bone.'],
  pumpSame: ['One brine for needle and tub', 'One bucket for both: right only if it is pulled on its day, since the tub goes on giving.'],
  clock: ['Strong pickle, by the clock', 'Quick to mix, but right only if it is pulled on its day: left longer it goes on taking salt and nitrite.'],
  dryRub: ['Rubbed on, in a bag', 'No water: all of it is counted against the meat. It draws a juice of its own; turn and massage it.'],
};

/** How the cure meets the meat, how strong, and whose rules hold: what is asked first in sight, the rest folded with what it is now. */
export function CurePanel() {
  const preferences = usePreferences();
  const { control, setValue } = useFormContext<BatchRequest>();
  const typed = useWatch({ control }) as BatchRequest;
  const { school, product, recipe, strongSaltPercent: strong, dose } = typed;
  const process = useProcess({ product, recipe });
  const { isFaulty } = useFaults();
  const way: Way = school === 'equilibrium' && strong !== undefined ? 'clock' : school;
  const isPumped = school === 'pumpAndCover' || school === 'pumpSame';
  const isByBrine = way === 'clock' || way === 'pumpSame';
  const chooseWay = (chosen: Way) => {
    const kind = chosen === 'clock' ? 'equilibrium' : chosen;
    setValue('school', kind, { shouldValidate: true });
    setValue('strongSaltPercent', chosen === 'clock' ? (process.usual.strongSaltPercent ?? USUAL_STRONG_PERCENT) : undefined, { shouldValidate: true });
    setValue('cureDays', daysOf(process.cureDays, kind).usual, { shouldValidate: true });
    if (!takesDose(chosen)) setValue('dose', undefined);
    if (chosen === 'dryRub' && typed.dose?.by === 'label') setValue('dose.per', 'meat');
  };
  const water = school === 'dryRub' || !Number.isFinite(typed.waterG) ? '' : `, ${inWords(typed.waterG, 'mass', preferences)} water`;
  const saltNow =
    dose?.by === 'label'
      ? 'as the label has it'
      : dose?.by === 'written'
        ? `${inWords(dose.saltG ?? 0, 'mass', preferences)} salt, as written`
        : `${fewDigits(isByBrine ? strengthOf(typed) : typed.saltPercent)} % salt`;
  return (
    <Panel title="The cure">
      <Box sx={padded}>
        <Pick<Way> label="How it is cured" value={way} onChange={chooseWay}>
          {(Object.keys(WAYS) as Way[]).map((id) => (
            <option key={id} value={id}>
              {WAYS[id][0]}
            </option>
          ))}
        </Pick>
        <Typography variant="note">{WAYS[way][1]}</Typography>
        <FormNumber<BatchRequest> name="cureDays" label="Days of cure" sign="d" decimals={1} />
      </Box>
      <Fold
        name={school === 'dryRub' ? 'The rub' : 'The brine'}
        now={`${saltNow}${water}`}
        isFaulty={isFaulty('waterG', 'saltPercent', 'sugarPercent', 'strongSaltPercent', 'ownLines', 'lineNames')}
      >
        {school !== 'dryRub' && !isReadyBrine(typed) && <Water label={school === 'pumpAndCover' ? 'Water for the cover' : 'Water'} />}
        {dose?.by !== 'label' && dose?.by !== 'written' && (
          <Box sx={paired}>
            <FormNumber<BatchRequest>
              name="saltPercent"
              label={isByBrine ? 'Salt wanted in the meat' : school === 'dryRub' ? 'Salt, of the meat' : 'Salt, of meat and water'}
              sign="%"
            />
            <FormNumber<BatchRequest>
              name="sugarPercent"
              label={isByBrine ? 'Sugar, of the brine' : school === 'dryRub' ? 'Sugar, of the meat' : 'Sugar, of meat and water'}
              sign="%"
            />
          </Box>
        )}
        {way === 'clock' && <FormNumber<BatchRequest> name="strongSaltPercent" label="Salt, of the brine" sign="%" decimals={1} />}
        <OwnLines spices={process.usual.spices ?? []} />
      </Fold>
      <Fold name="The cure mix" now={cureNow(typed)} isFaulty={isFaulty('cure', 'dose', 'nitritePpm', 'acceleratorPpm')}>
        <CureOfBatch way={way} />
      </Fold>
      {isPumped && (
        <Fold
          name="The needle"
          now={`${fewDigits(typed.pumpPercent ?? 0)} %${(typed.repumpPercent ?? 0) > 0 ? `, ${fewDigits(typed.repumpPercent ?? 0)} % half-way` : ''}`}
          isFaulty={isFaulty('pumpPercent', 'repumpPercent', 'pickleSaltPercent', 'syringeML', 'spacingMm')}
        >
          <Box sx={paired}>
            <FormNumber<BatchRequest> name="pumpPercent" label="First pump, of green" sign="%" />
            <FormNumber<BatchRequest> name="repumpPercent" label="Re-pump half-way" sign="%" />
          </Box>
          <Box sx={looks.trio}>
            {dose?.by !== 'label' && (
              <FormNumber<BatchRequest> name="pickleSaltPercent" label={school === 'pumpSame' ? 'Brine, salt' : 'Pickle, salt'} sign="%" />
            )}
            <FormNumber<BatchRequest> name="syringeML" label="Syringe" quantity="volume" />
            <FormNumber<BatchRequest> name="spacingMm" label="Needle every" quantity="length" />
          </Box>
        </Fold>
      )}
      <Fold
        name="The rules"
        now={typed.ruleSet === 'house' ? 'House rules' : RULE_SETS[typed.ruleSet].name}
        isFaulty={isFaulty('ruleSet', 'houseLimit', 'houseFloor')}
      >
        <Rules />
      </Fold>
      <Fold
        name="Cold and scales"
        now={`${inWords(typed.coldC ?? USUAL_COLD_C, 'temperature', preferences, 0)}, ${inWords(typed.cureScaleStepG, 'smallMass', preferences)} steps`}
        isFaulty={isFaulty('coldC', 'meatScaleStepG', 'cureScaleStepG')}
      >
        <FormNumber<BatchRequest>
          name="coldC"
          label="Refrigerator"
          quantity="temperature"
          hint={`planned; ${inWords(USUAL_COLD_C, 'temperature', preferences, 0)} when left empty, ${inWords(COLD_MOST_C, 'temperature', preferences, 0)} at the most`}
        />
        <Box sx={paired}>
          <FormNumber<BatchRequest> name="meatScaleStepG" label="Big scale steps by" quantity="smallMass" />
          <FormNumber<BatchRequest> name="cureScaleStepG" label="Cure scale steps by" quantity="smallMass" />
        </Box>
        <OwnScales />
      </Fold>
    </Panel>
  );
}

/** A refrigerator of which nothing is said, °C. */
const USUAL_COLD_C = 3;

const strengthOf = ({ school, pickleSaltPercent, strongSaltPercent, saltPercent }: BatchRequest): number =>
  (school === 'pumpSame' ? pickleSaltPercent : strongSaltPercent) ?? saltPercent;

/** Whether any of some fields has a fault: its fold opens. */
function useFaults(): { isFaulty: (...names: Path<BatchRequest>[]) => boolean } {
  const { control } = useFormContext<BatchRequest>();
  const { errors } = useFormState({ control });
  return { isFaulty: (...names) => names.some((name) => name in errors) };
}

function OwnScales() {
  const { control, setValue } = useFormContext<BatchRequest>();
  const [cureScaleStepG, meatScaleStepG] = useWatch({ control, name: ['cureScaleStepG', 'meatScaleStepG'] });
  return (
    <HouseScales
      cureScaleStepG={cureScaleStepG}
      meatScaleStepG={meatScaleStepG}
      onTake={(steps) => {
        setValue('cureScaleStepG', steps.cureScaleStepG, { shouldValidate: true });
        setValue('meatScaleStepG', steps.meatScaleStepG, { shouldValidate: true });
      }}
    />
  );
}

/** The water follows the weight until the cook says otherwise. */
function Water({ label }: { label: string }) {
  const { control, getValues, setValue } = useFormContext<BatchRequest>();
  const preferences = usePreferences();
  const [product, recipe, pieces, waterG] = useWatch({ control, name: ['product', 'recipe', 'pieces', 'waterG'] });
  const process = useProcess({ product, recipe });
  const proposedG = proposal(process, pieces);
  const [own, setOwn] = useState(() => getValues('waterG') !== proposal(process, getValues('pieces')));
  const name = recipe?.id ?? product;
  const [lastName, setLastName] = useState(name);
  if (name !== lastName) {
    setLastName(name);
    setOwn(false);
  }
  useEffect(() => {
    if (!own && getValues('waterG') !== proposedG) setValue('waterG', proposedG as number, { shouldValidate: proposedG !== undefined });
  }, [own, proposedG, getValues, setValue]);
  return (
    <>
      <FormNumber<BatchRequest>
        name="waterG"
        label={label}
        quantity="mass"
        hint={proposedG === undefined ? 'proposed once the meat is weighed' : waterG === proposedG ? 'as proposed from the weight' : undefined}
        onTyped={() => setOwn(true)}
      />
      {own && proposedG !== undefined && waterG !== proposedG && (
        <Button variant="text" onClick={() => setOwn(false)}>
          Take {inWords(proposedG, 'mass', preferences)}, as proposed from the weight
        </Button>
      )}
    </>
  );
}

/** Of the meat that was weighed; nothing before. */
function proposal(process: Process, pieces: BatchRequest['pieces']): number | undefined {
  const weighed = pieces.map(({ greenG }) => greenG).filter((g) => Number.isFinite(g));
  return weighed.length === 0
    ? undefined
    : usualWaterG(
        process,
        weighed.reduce((all, g) => all + g, 0),
      );
}

/** The target follows the rules until the cook says otherwise. */
function Rules() {
  const { control, getValues, setValue } = useFormContext<BatchRequest>();
  const ruleSet = useWatch({ control, name: 'ruleSet' });
  const chooseRules = (chosen: BatchRequest['ruleSet']) => {
    const was = getValues();
    const wasUsual = was.nitritePpm === requestRules(was).usualTarget;
    setValue('ruleSet', chosen);
    if (chosen === 'house' && was.houseLimit === undefined) {
      setValue('houseLimit', requestRules(was).limit);
      setValue('houseFloor', requestRules(was).floor);
    }
    if (wasUsual) setValue('nitritePpm', requestRules(getValues()).usualTarget, { shouldValidate: true });
  };
  return (
    <>
      <Pick label="Whose rules" value={ruleSet} onChange={chooseRules}>
        {RULE_SET_IDS.map((id) => (
          <option key={id} value={id}>
            {id === 'house' ? 'House rules' : RULE_SETS[id].name}
          </option>
        ))}
      </Pick>
      {ruleSet === 'house' && (
        <Box sx={paired}>
          <FormNumber<BatchRequest> name="houseLimit" label="House limit" sign="ppm" />
          <FormNumber<BatchRequest> name="houseFloor" label="House floor" sign="ppm" />
        </Box>
      )}
    </>
  );
}

import { requestRules, type BatchRequest } from '@bunkhouse/api';
import { RULE_SET_IDS, CURE_1, NO_CURE, PUMP_ABOVE_MM, RULE_SETS, USUAL_STRONG_PERCENT, usualWaterG, type Process, type School } from '@bunkhouse/core';
import { useEffect, useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { Choice } from '../../shell/Choice';
import { usePreferences } from '../../shell/preferences';
import { inWords } from '../../shell/quantities';
import { HouseScales } from '../../shell/HouseScales';
import { FormNumber } from './FormNumber';
import { useProcess } from './useProcess';
import { cureInWords } from '../../shell/tradeWords';

/** A strong pickle is a cure that lies, but not until it is even. */
type Way = School['kind'] | 'clock';

/** How the brine meets the meat, how strong, and whose rules hold. */
export function CurePanel() {
  const preferences = usePreferences();
  const { control, setValue } = useFormContext<BatchRequest>();
  const school = useWatch({ control, name: 'school' });
  const [asked, ppm, product, recipe] = useWatch({ control, name: ['cure', 'nitritePpm', 'product', 'recipe'] });
  const cure = ppm === 0 ? NO_CURE : (asked ?? CURE_1);
  const process = useProcess({ product, recipe });
  const strong = useWatch({ control, name: 'strongSaltPercent' });
  const way: Way = school === 'equilibrium' && strong !== undefined ? 'clock' : school;
  const chooseSchool = (chosen: Way) => {
    const kind = chosen === 'clock' ? 'equilibrium' : chosen;
    setValue('school', kind, { shouldValidate: true });
    setValue('strongSaltPercent', chosen === 'clock' ? (process.usual.strongSaltPercent ?? USUAL_STRONG_PERCENT) : undefined, { shouldValidate: true });
    setValue('cureDays', process.cureDays[kind].usual, { shouldValidate: true });
  };
  return (
    <section className="panel">
      <div className="ph">
        <h2>The cure</h2>
        <span className="aside">{ppm === 0 ? 'No cure: fresh salted meat' : cureInWords(cure)}</span>
      </div>
      <div className="pad">
        <Choice
          label="How the brine meets the meat"
          value={way}
          options={{ pumpAndCover: 'Pump and cover', equilibrium: 'Equilibrium, by weight', clock: 'Strong pickle, by the clock' }}
          onChange={chooseSchool}
        />
        <p className="note">
          {way === 'clock'
            ? 'Quick to mix, but right only if it is pulled on its day: left longer it goes on taking salt and nitrite.'
            : way === 'equilibrium'
              ? `It lies until even: cannot become too salty, but slow above ${PUMP_ABOVE_MM} mm.`
              : 'A strong pickle by the needle, a mild cover that holds it: quick, and sure beside the bone.'}
        </p>
        <WaterAndDays label={school === 'equilibrium' ? 'Water' : 'Water for the cover'} />
        <div className="pair">
          <FormNumber name="saltPercent" label={way === 'clock' ? 'Salt wanted in the meat' : 'Salt, of meat and water'} sign="%" />
          <FormNumber name="sugarPercent" label={way === 'clock' ? 'Sugar, of the brine' : 'Sugar, of meat and water'} sign="%" />
        </div>
        {way === 'clock' && <FormNumber name="strongSaltPercent" label="Salt, of the brine" sign="%" decimals={1} />}
        {school === 'pumpAndCover' && (
          <>
            <div className="pair">
              <FormNumber name="pumpPercent" label="First pump, of green" sign="%" />
              <FormNumber name="repumpPercent" label="Re-pump half-way" sign="%" />
            </div>
            <div className="trio">
              <FormNumber name="pickleSaltPercent" label="Pickle, salt" sign="%" />
              <FormNumber name="syringeML" label="Syringe" quantity="volume" />
              <FormNumber name="spacingMm" label="Needle every" quantity="length" />
            </div>
          </>
        )}
        <RulesAndTarget />
        {ppm > 0 && (
          <FormNumber name="acceleratorPpm" label="Ascorbate or erythorbate" sign="ppm" hint="none when left empty; 550 at the most, 250 for a slow chill" />
        )}
        <FormNumber
          name="coldC"
          label="Refrigerator"
          quantity="temperature"
          hint={`planned; ${inWords(3, 'temperature', preferences, 0)} when left empty, ${inWords(4, 'temperature', preferences, 0)} at the most`}
        />
        <div className="pair">
          <FormNumber name="meatScaleStepG" label="Big scale steps by" quantity="smallMass" />
          <FormNumber name="cureScaleStepG" label="Cure scale steps by" quantity="smallMass" />
        </div>
        <OwnScales />
      </div>
    </section>
  );
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
function WaterAndDays({ label }: { label: string }) {
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
    if (!own && getValues('waterG') !== proposedG) setValue('waterG', proposedG, { shouldValidate: true });
  }, [own, proposedG, getValues, setValue]);
  return (
    <>
      <div className="pair">
        <FormNumber
          name="waterG"
          label={label}
          quantity="mass"
          hint={waterG === proposedG ? 'as proposed from the weight' : undefined}
          onTyped={() => setOwn(true)}
        />
        <FormNumber name="cureDays" label="Days of cure" sign="d" decimals={1} />
      </div>
      {own && waterG !== proposedG && (
        <button type="button" className="lnk" onClick={() => setOwn(false)}>
          Take {inWords(proposedG, 'mass', preferences)}, as proposed from the weight
        </button>
      )}
    </>
  );
}

const proposal = (process: Process, pieces: BatchRequest['pieces']): number =>
  usualWaterG(
    process,
    pieces.reduce((sum, piece) => sum + (Number.isFinite(piece.greenG) ? piece.greenG : 0), 0),
  );

/** The target follows the rules until the cook says otherwise. */
function RulesAndTarget() {
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
      <div className="pair">
        <label className="field">
          <span className="label">Whose rules</span>
          <select className="box" value={ruleSet} onChange={(event) => chooseRules(event.target.value as BatchRequest['ruleSet'])}>
            {RULE_SET_IDS.map((id) => (
              <option key={id} value={id}>
                {id === 'house' ? 'House rules' : RULE_SETS[id].name}
              </option>
            ))}
          </select>
        </label>
        <FormNumber name="nitritePpm" label="Nitrite aimed at" sign="ppm" />
      </div>
      {ruleSet === 'house' && (
        <div className="pair">
          <FormNumber name="houseLimit" label="House limit" sign="ppm" />
          <FormNumber name="houseFloor" label="House floor" sign="ppm" />
        </div>
      )}
    </>
  );
}

import { BATCH_RULE_SETS, BatchRequest, startFault, toDesign, usualRequest } from '@bunkhouse/api';
import { InputError, planBatch, processFor, PROCESSES, PUMP_ABOVE_MM, RULE_SETS, usualWaterG, type BatchState, type School } from '@bunkhouse/core';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useEffect, useMemo, useState } from 'react';
import { useFieldArray, useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { startBatch } from '../../data/batches';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { FindingStrip } from '../../instruments/FindingStrip';
import { Choice } from '../../shell/Choice';
import { Glyph } from '../../shell/glyphs';
import { usePreferences } from '../../shell/preferences';
import { inWords } from '../../shell/quantities';
import { fieldTime } from '../../shell/times';
import { FormNumber } from './FormNumber';
import { PlanSheet } from './PlanSheet';

const DRAFT = 'bunkhouse.draft.new-batch';
const PIECE_LETTERS = 'ABCDEFGHIJKL';

const QUARTER_MS = 900_000;

/** A batch with a product's usual values, beginning at the next quarter of an hour. */
const fresh = (product: BatchRequest['product'], by: string): BatchRequest =>
  usualRequest(product, { id: crypto.randomUUID(), by, startsAt: new Date(Math.ceil(houseTime() / QUARTER_MS) * QUARTER_MS).toISOString() });

function firstRequest(by: string): BatchRequest {
  const usual = fresh('ham-bone-in', by);
  try {
    const kept = JSON.parse(localStorage.getItem(DRAFT) ?? '{}') as Partial<BatchRequest>;
    return { ...usual, ...kept, startsAt: usual.startsAt };
  } catch {
    return usual;
  }
}

type Plan = { state: BatchState } | { fault: InputError } | { incomplete: true };

function planOf(request: BatchRequest): Plan {
  const numbers = Object.values(request).concat(request.pieces.flatMap((piece) => [piece.greenG, piece.thicknessMm, piece.lengthMm]) as never[]);
  if (
    numbers.some((value) => typeof value === 'number' && !Number.isFinite(value)) ||
    request.pieces.some((piece) => [piece.greenG, piece.thicknessMm, piece.lengthMm].includes(undefined as never))
  )
    return { incomplete: true };
  try {
    return { state: planBatch(processFor(request.product), toDesign(request)) };
  } catch (error) {
    if (error instanceof InputError) return { fault: error };
    if (error instanceof RangeError) return { incomplete: true };
    throw error;
  }
}

/** From "I have this piece" to a dated plan: every keystroke works the sheet out again. */
export function NewBatch() {
  const { name } = usePreferences();
  const navigate = useNavigate();
  const form = useForm<BatchRequest>({ resolver: classValidatorResolver(BatchRequest), mode: 'onChange', defaultValues: firstRequest(name) });
  const { control, setValue, getValues, reset, handleSubmit, formState } = form;
  const pieces = useFieldArray({ control, name: 'pieces' });
  const request = useWatch({ control }) as BatchRequest;
  const [touched, setTouched] = useState({ water: false, nitrite: false });
  const [refusal, setRefusal] = useState<string | null>(null);
  const plan = useMemo(() => planOf(request), [request]);
  const greenG = request.pieces.reduce((sum, piece) => sum + (Number.isFinite(piece.greenG) ? piece.greenG : 0), 0);
  const proposedWaterG = usualWaterG(request.product, greenG);
  const stop = 'state' in plan ? plan.state.findings.find((finding) => finding.level === 'stop') : undefined;

  useEffect(() => localStorage.setItem(DRAFT, JSON.stringify(request)), [request]);
  useEffect(() => {
    if (!touched.water && getValues('waterG') !== proposedWaterG) setValue('waterG', proposedWaterG, { shouldValidate: true });
  }, [touched.water, proposedWaterG, getValues, setValue]);
  useEffect(() => {
    if (name !== '') setValue('by', name);
  }, [name, setValue]);

  const chooseProduct = (product: BatchRequest['product']) => {
    setTouched({ water: false, nitrite: touched.nitrite });
    reset({
      ...fresh(product, getValues('by')),
      ruleSet: getValues('ruleSet'),
      nitritePpm: getValues('nitritePpm'),
      startsAt: getValues('startsAt'),
    });
  };
  const chooseSchool = (school: School['kind']) => {
    setValue('school', school, { shouldValidate: true });
    setValue('cureDays', processFor(getValues('product')).cureDays[school].usual, { shouldValidate: true });
  };
  const chooseRules = (ruleSet: BatchRequest['ruleSet']) => {
    setValue('ruleSet', ruleSet);
    if (!touched.nitrite) setValue('nitritePpm', RULE_SETS[ruleSet].usualTarget, { shouldValidate: true });
  };

  const start = async (asked: BatchRequest) => {
    setRefusal(null);
    const late = startFault(asked.startsAt, houseTime());
    if (late !== null) return setRefusal(late);
    if (stop !== undefined || 'fault' in plan) return;
    try {
      const batch = await startBatch({ ...asked, by: asked.by.trim() });
      localStorage.removeItem(DRAFT);
      void navigate(`/batches/${batch.id}`);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setRefusal(error.message);
    }
  };

  const number = { control };
  return (
    <form className="page new-batch" onSubmit={(event) => void handleSubmit(start)(event)} noValidate>
      <div className="new-form">
        <div className="page-head">
          <h1 className="title">New batch</h1>
        </div>
        <section className="panel">
          <div className="ph">
            <h2>The meat</h2>
          </div>
          <div className="pad">
            <Choice
              label="What it is to be"
              value={request.product}
              options={Object.fromEntries(PROCESSES.map((process) => [process.product, process.name])) as Record<BatchRequest['product'], string>}
              onChange={chooseProduct}
            />
            {pieces.fields.map((field, i) => (
              <fieldset key={field.id} className="piece">
                <legend className="label">Piece {PIECE_LETTERS[i]}</legend>
                <FormNumber {...number} name={`pieces.${i}.greenG`} label="Weight" quantity="mass" />
                <Choice
                  label="Shape"
                  value={request.pieces[i]?.shape ?? 'round'}
                  options={{ round: 'Round', slab: 'Flat' }}
                  onChange={(shape) => setValue(`pieces.${i}.shape`, shape)}
                />
                <FormNumber
                  {...number}
                  name={`pieces.${i}.thicknessMm`}
                  label={request.pieces[i]?.shape === 'slab' ? 'Thickness' : 'Diameter'}
                  quantity="length"
                  hint="at the thickest"
                />
                <FormNumber {...number} name={`pieces.${i}.lengthMm`} label="Length" quantity="length" />
                {pieces.fields.length > 1 && (
                  <button type="button" className="lnk" onClick={() => pieces.remove(i)}>
                    Take piece {PIECE_LETTERS[i]} out
                  </button>
                )}
              </fieldset>
            ))}
            {pieces.fields.length < 12 && (
              <button
                type="button"
                className="btn"
                onClick={() =>
                  pieces.append({
                    ...(getValues('pieces').at(-1) ?? fresh(request.product, '').pieces[0]),
                  } as BatchRequest['pieces'][number])
                }
              >
                Add a piece
              </button>
            )}
          </div>
        </section>
        <section className="panel">
          <div className="ph">
            <h2>The cure</h2>
            <span className="aside">Cure #1, 6.25 % nitrite</span>
          </div>
          <div className="pad">
            <Choice
              label="How the brine meets the meat"
              value={request.school}
              options={{ pumpAndCover: 'Pump and cover', equilibrium: 'Equilibrium, by weight' }}
              onChange={chooseSchool}
            />
            <p className="note">
              {request.school === 'equilibrium'
                ? `It lies until even: cannot become too salty, but slow above ${PUMP_ABOVE_MM} mm.`
                : 'A strong pickle by the needle, a mild cover that holds it: quick, and sure beside the bone.'}
            </p>
            <div className="pair">
              <FormNumber
                {...number}
                name="waterG"
                label={request.school === 'equilibrium' ? 'Water' : 'Water for the cover'}
                quantity="mass"
                hint={request.waterG === proposedWaterG ? 'as proposed from the weight' : undefined}
                onTyped={() => setTouched((was) => ({ ...was, water: true }))}
              />
              <FormNumber {...number} name="cureDays" label="Days of cure" sign="d" decimals={1} />
            </div>
            {request.waterG !== proposedWaterG && (
              <button type="button" className="lnk" onClick={() => setTouched((was) => ({ ...was, water: false }))}>
                <WaterProposal grams={proposedWaterG} />
              </button>
            )}
            <div className="pair">
              <FormNumber {...number} name="saltPercent" label="Salt, of meat and water" sign="%" />
              <FormNumber {...number} name="sugarPercent" label="Sugar, of meat and water" sign="%" />
            </div>
            {request.school === 'pumpAndCover' && (
              <>
                <div className="pair">
                  <FormNumber {...number} name="pumpPercent" label="First pump, of green" sign="%" />
                  <FormNumber {...number} name="repumpPercent" label="Re-pump half-way" sign="%" />
                </div>
                <div className="trio">
                  <FormNumber {...number} name="pickleSaltPercent" label="Pickle, salt" sign="%" />
                  <FormNumber {...number} name="syringeML" label="Syringe" quantity="volume" />
                  <FormNumber {...number} name="spacingMm" label="Needle every" quantity="length" />
                </div>
              </>
            )}
            <div className="pair">
              <label className="field">
                <span className="label">Whose rules</span>
                <select className="box" value={request.ruleSet} onChange={(event) => chooseRules(event.target.value as BatchRequest['ruleSet'])}>
                  {BATCH_RULE_SETS.map((id) => (
                    <option key={id} value={id}>
                      {RULE_SETS[id].name}
                    </option>
                  ))}
                </select>
              </label>
              <FormNumber {...number} name="nitritePpm" label="Nitrite aimed at" sign="ppm" onTyped={() => setTouched((was) => ({ ...was, nitrite: true }))} />
            </div>
            <div className="pair">
              <FormNumber {...number} name="meatScaleStepG" label="Big scale steps by" quantity="smallMass" />
              <FormNumber {...number} name="cureScaleStepG" label="Cure scale steps by" quantity="smallMass" />
            </div>
          </div>
        </section>
        <section className="panel">
          <div className="ph">
            <h2>When and who</h2>
          </div>
          <div className="pad pair">
            <label className={`field${formState.errors.startsAt ? ' wrong' : ''}`}>
              <span className="label">First job</span>
              <input
                className="box"
                type="datetime-local"
                value={Number.isNaN(Date.parse(request.startsAt)) ? '' : fieldTime(request.startsAt)}
                onChange={(event) =>
                  setValue('startsAt', event.target.value === '' ? '' : new Date(event.target.value).toISOString(), { shouldValidate: true })
                }
              />
              <ErrorText text={formState.errors.startsAt?.message} />
            </label>
            <label className={`field${formState.errors.by ? ' wrong' : ''}`}>
              <span className="label">Started by</span>
              <input
                className="box"
                autoComplete="off"
                maxLength={40}
                value={request.by}
                onChange={(event) => setValue('by', event.target.value, { shouldValidate: true })}
              />
              <ErrorText text={formState.errors.by?.message} />
            </label>
          </div>
        </section>
        <p className="note caution-line">
          Nitrite is poisonous in gram amounts: weigh it, label it, lock it away. This tool computes; your local food code, your inspector and the label of your
          cure decide.
        </p>
      </div>
      <div className="new-result">
        <div className="new-act">
          <button
            type="submit"
            className="btn xl go"
            aria-disabled={stop !== undefined || 'fault' in plan || formState.isSubmitting}
            disabled={stop !== undefined || 'fault' in plan}
          >
            <Glyph name="start" />
            {formState.isSubmitting ? 'Starting...' : 'Start the batch'}
          </button>
          {(stop !== undefined || 'fault' in plan) && <p className="note">It cannot be started like this: see below.</p>}
          {refusal !== null && <ErrorText text={refusal} />}
        </div>
        {'fault' in plan && <FindingStrip finding={{ level: 'stop', code: plan.fault.field, message: plan.fault.message }} />}
        {'incomplete' in plan && <p className="lead">A number is missing: see the form.</p>}
        {'state' in plan && <PlanSheet request={request} state={plan.state} onTarget={(ppm) => setValue('nitritePpm', ppm, { shouldValidate: true })} />}
      </div>
    </form>
  );
}

function WaterProposal({ grams }: { grams: number }) {
  const preferences = usePreferences();
  return <>Take {inWords(grams, 'mass', preferences)}, as proposed from the weight</>;
}

const ErrorText = ({ text }: { text: string | undefined }) =>
  text === undefined ? null : (
    <p className="fault" role="alert">
      {text}
    </p>
  );

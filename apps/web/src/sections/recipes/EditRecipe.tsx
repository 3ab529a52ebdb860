import { useSay } from '../../shell/reader';
import type { RecipeResponse } from '@bunkhouse/api';
import {
  attempt,
  CURE_MIXES,
  designOf,
  designStops,
  NO_CURE,
  PRODUCTS,
  processOf,
  RECIPE_NUMBER_NAMES,
  requireRecipe,
  SCHOOLS,
  thicknessMm,
  type Recipe,
  type RecipeNumber,
  type Section,
  USUAL_STRONG_PERCENT,
} from '@bunkhouse/core';
import { useEffect, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { keepRecipe, latest } from '../../data/recipes';
import { Refusal } from '../../data/request';
import { NumberField } from '../../instruments/NumberField';
import { Choice } from '../../shell/Choice';
import { ProgramPhases } from '../../shell/pit/ProgramPhases';
import { usePreferences } from '../../shell/preferences';
import { PRODUCT_NAMES, SCHOOL_WORDS, cureInWords } from '../../shell/tradeWords';
import { Checks, Spices, Words } from './RecipeLists';
import { newId } from '../../data/newId';

/** Cures that may stand in a recipe by name; any other is typed from its label. */
const CURES = [...Object.values(CURE_MIXES).filter(({ nitritePercent }) => nitritePercent > 0 && nitritePercent < 50), NO_CURE];

const draftKey = (id: string) => `bunkhouse.draft.recipe.${id}`;

/** What was typed before the page was closed. */
function kept(key: string, from: Recipe): Recipe {
  const text = localStorage.getItem(key);
  if (text === null) return from;
  try {
    return { ...from, ...(JSON.parse(text) as Partial<Recipe>) };
  } catch {
    return from;
  }
}

/** A recipe to be written or changed. What is typed is kept until it is saved or left. `of`: the recipe that gets another version. */
export function EditRecipe({ from, of, onDone }: { from: Recipe; of: RecipeResponse | null; onDone: () => void }) {
  const key = draftKey(of?.id ?? 'new');
  const [draft, setDraft] = useState(() => kept(key, from));
  const [id] = useState(() => of?.id ?? newId());
  const [reason, setReason] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { name } = usePreferences();
  const navigate = useNavigate();
  useEffect(() => localStorage.setItem(key, JSON.stringify(draft)), [key, draft]);
  const change = (changes: Partial<Recipe>) => setDraft((was) => ({ ...was, ...changes }));
  const checked = attempt(() => {
    const recipe = requireRecipe(draft);
    const process = processOf(recipe);
    return { recipe, stops: designStops(process, designOf(process, new Date(0).toISOString())) };
  });
  const fault = 'fault' in checked ? checked.fault : null;
  const say = useSay();
  const at = (field: string) => (fault?.field === field ? say(fault) : undefined);
  const stop = 'value' in checked ? checked.value.stops[0] : undefined;
  const leave = () => {
    localStorage.removeItem(key);
    onDone();
  };
  const save = async () => {
    if ('fault' in checked) return;
    setBusy(true);
    try {
      const saved = await keepRecipe({
        id,
        after: of === null ? 0 : latest(of).version,
        recipe: checked.value.recipe,
        by: name,
        ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
      });
      localStorage.removeItem(key);
      onDone();
      void navigate(`/recipes/${saved.id}`);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setRefusal(error.message);
    } finally {
      setBusy(false);
    }
  };
  const number = (field: RecipeNumber, sign: string, decimals = 2) => (
    <NumberField
      label={say(RECIPE_NUMBER_NAMES[field])}
      sign={sign}
      decimals={decimals}
      value={draft[field]}
      error={at(field)}
      onChange={(value) => change({ [field]: value ?? Number.NaN })}
    />
  );
  const { section } = draft.piece;
  const piece = (changes: Partial<Recipe['piece']>) => change({ piece: { ...draft.piece, ...changes } });
  const through = thicknessMm(section);
  const cureName = CURES.some((cure) => cure.name === draft.cure.name) ? draft.cure.name : '';
  return (
    <div className="page edit-recipe">
      <div className="page-head">
        <div>
          <h1 className="title">{of === null ? 'A recipe of our own' : `Change ${latest(of).recipe.name}`}</h1>
          <p className="note">
            {of === null ? 'It begins as version 1.' : `It becomes version ${latest(of).version + 1}. Batches that were made before keep theirs.`}
          </p>
        </div>
      </div>
      <div className="edit-grid">
        <Part title="What it is">
          <Words label="Name" value={draft.name} error={at('name')} onChange={(text) => change({ name: text })} />
          <div className="pair">
            <label className="field">
              <span className="label">Makes</span>
              <select className="box" value={draft.product} onChange={(event) => change({ product: event.target.value as Recipe['product'] })}>
                {PRODUCTS.map((product) => (
                  <option key={product} value={product}>
                    {PRODUCT_NAMES[product]}
                  </option>
                ))}
              </select>
            </label>
            <Words label="Batch codes begin" value={draft.prefix} error={at('prefix')} onChange={(text) => change({ prefix: text.toUpperCase() })} />
          </div>
          <div className="trio">
            <NumberField
              label="A piece weighs"
              quantity="mass"
              value={draft.piece.greenG}
              error={at('piece.greenG')}
              onChange={(g) => piece({ greenG: g ?? Number.NaN })}
            />
            <NumberField
              label="Through"
              quantity="length"
              value={through}
              error={at(`piece.section.${section.shape === 'slab' ? 'thicknessMm' : 'diameterMm'}`)}
              onChange={(mm) => piece({ section: sized(section, section.shape === 'slab', mm ?? Number.NaN) })}
            />
            <NumberField
              label="Long"
              quantity="length"
              value={draft.piece.lengthMm}
              error={at('piece.lengthMm')}
              onChange={(mm) => piece({ lengthMm: mm ?? Number.NaN })}
            />
          </div>
          <Choice
            label="Shape"
            value={section.shape === 'slab' ? 'slab' : 'round'}
            options={{ round: 'Round', slab: 'Flat' }}
            onChange={(shape) => piece({ section: sized(section, shape === 'slab', through) })}
          />
          <Words label="Trim" long value={draft.trim} error={at('trim')} onChange={(text) => change({ trim: text })} />
        </Part>
        <Part title="The cure">
          <Choice
            label="How the brine meets the meat"
            value={draft.strongSaltPercent === undefined ? draft.school : 'clock'}
            options={{ equilibrium: SCHOOL_WORDS.equilibrium[0], pumpAndCover: SCHOOL_WORDS.pumpAndCover[0], clock: SCHOOL_WORDS.clock[0] }}
            onChange={(school) =>
              change(
                school === 'clock'
                  ? { school: 'equilibrium', strongSaltPercent: draft.strongSaltPercent ?? USUAL_STRONG_PERCENT }
                  : { school, strongSaltPercent: undefined },
              )
            }
          />
          {draft.strongSaltPercent !== undefined && (
            <NumberField
              label="Strong pickle, salt of the brine"
              sign="%"
              decimals={1}
              value={draft.strongSaltPercent}
              error={at('strongSaltPercent')}
              hint="sugar is then of the brine, too; salt is what the meat should have at the pull"
              onChange={(strongSaltPercent) => change({ strongSaltPercent: strongSaltPercent ?? Number.NaN })}
            />
          )}
          <label className="field">
            <span className="label">Cure, by its label</span>
            <select
              className="box"
              value={cureName}
              onChange={(event) => {
                const cure = CURES.find((one) => one.name === event.target.value);
                if (cure !== undefined) change({ cure, nitritePpm: cure.nitritePercent === 0 ? 0 : draft.nitritePpm === 0 ? 150 : draft.nitritePpm });
              }}
            >
              {cureName === '' && <option value="">{draft.cure.name}</option>}
              {CURES.map((cure) => (
                <option key={cure.name} value={cure.name}>
                  {cure.name === NO_CURE.name ? 'No cure: fresh salted meat' : cureInWords(cure)}
                </option>
              ))}
            </select>
            {at('cure') !== undefined && <small className="fault">{at('cure')}</small>}
          </label>
          <div className="pair">
            {number('nitritePpm', 'ppm', 1)}
            {number('saltPercent', '%')}
            {number('sugarPercent', '%')}
            {number('waterPerMeat', 'kg')}
          </div>
          <div className="trio">
            {number('pumpPercent', '%', 1)}
            {number('repumpPercent', '%', 1)}
            {number('pickleSaltPercent', '%', 1)}
          </div>
          {SCHOOLS.map((school) => (
            <fieldset key={school} className="trio">
              <legend className="label">Days, {SCHOOL_WORDS[school][0].toLowerCase()}</legend>
              {(['shortest', 'usual', 'longest'] as const).map((which) => (
                <NumberField
                  key={which}
                  label={{ shortest: 'At the least', usual: 'Usually', longest: 'At the most' }[which]}
                  sign="d"
                  decimals={1}
                  value={draft.cureDays[school][which]}
                  error={at(`cureDays.${school}.${which}`)}
                  onChange={(days) => change({ cureDays: { ...draft.cureDays, [school]: { ...draft.cureDays[school], [which]: days ?? Number.NaN } } })}
                />
              ))}
            </fieldset>
          ))}
          {number('turnEveryH', 'h', 0)}
          <Spices spices={draft.spices} at={at} onChange={(spices) => change({ spices })} />
        </Part>
        <Part title="Soak, dry, chill">
          <div className="trio">
            {number('soakH', 'h')}
            {number('dryH', 'h', 1)}
            {number('restH', 'h')}
            {number('firstGateH', 'h')}
            {number('secondGateH', 'h')}
            {number('evenOutH', 'h', 1)}
          </div>
          <div className="pair">
            {(['low', 'high'] as const).map((end) => (
              <NumberField
                key={end}
                label={end === 'low' ? 'Packed, at the least' : 'Packed, at the most'}
                sign="%"
                decimals={0}
                value={draft.packedPercent[end]}
                error={at(`packedPercent.${end}`)}
                onChange={(value) => change({ packedPercent: { ...draft.packedPercent, [end]: value ?? Number.NaN } })}
              />
            ))}
          </div>
          <Checks checks={draft.checks} at={at} onChange={(checks) => change({ checks })} />
          <Words label="Note" long value={draft.note} error={at('note')} onChange={(text) => change({ note: text })} />
        </Part>
        <Part title="Smoke and cook">
          <div className="pair">
            <NumberField
              label={say(RECIPE_NUMBER_NAMES.coreTargetC)}
              quantity="temperature"
              decimals={0}
              value={draft.coreTargetC}
              error={at('coreTargetC')}
              onChange={(C) => change({ coreTargetC: C ?? Number.NaN })}
            />
            {number('cookH', 'h')}
          </div>
          <div className="edit-program">
            <ProgramPhases program={draft.program} targetC={draft.coreTargetC} onChange={(program) => change({ program })} />
          </div>
          {fault?.field.startsWith('program') === true && <p className="fault">{say(fault)}</p>}
        </Part>
      </div>
      {of !== null && <Words label="What was changed, and why" long value={reason} onChange={setReason} error={undefined} />}
      {fault !== null && <p className="fault">{say(fault)}</p>}
      {stop !== undefined && (
        <p className="fault" role="alert">
          {say(stop)}
        </p>
      )}
      {refusal !== null && (
        <p className="fault" role="alert">
          {refusal}
        </p>
      )}
      <div className="words-act">
        <button type="button" className="btn go" disabled={fault !== null || busy} onClick={() => void save()}>
          {busy ? 'Saving...' : of === null ? 'Save the recipe' : `Save version ${latest(of).version + 1}`}
        </button>
        <button type="button" className="btn quiet" onClick={leave}>
          {of === null ? 'Leave it' : 'Leave it as it was'}
        </button>
      </div>
    </div>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="panel">
      <div className="ph">
        <h2>{title}</h2>
      </div>
      <div className="pad">{children}</div>
    </section>
  );
}

/** A section so far through: flat or round, with what it had in it and on it. */
function sized(section: Section, flat: boolean, mm: number): Section {
  const { bone, closedSide, fatCapMm } = section;
  const rest = {
    ...(bone === undefined ? {} : { bone }),
    ...(closedSide === undefined ? {} : { closedSide }),
    ...(fatCapMm === undefined ? {} : { fatCapMm }),
  };
  return flat ? { shape: 'slab', thicknessMm: mm, ...rest } : { shape: 'round', diameterMm: mm, ...rest };
}

import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts, padded } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { Panel } from '../../kit/Panel';
import { Title } from '../../kit/Title';
import { Pick } from '../../kit/Pick';
import { useSay } from '../../reader/reader';
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
  CURE_TIMES,
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
import { NumberField } from '../../kit/NumberField';
import { Choice } from '../../kit/Choice';
import { ProgramPhases } from '../../acts/pit/ProgramPhases';
import { usePreferences } from '../../reader/preferences';
import { PRODUCT_NAMES, SCHOOL_WORDS, cureInWords } from '../../reader/words/tradeWords';
import { Checks, Spices, Words } from './RecipeLists';
import { newId } from '../../data/newId';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';

const styles = {
  editRecipe: { '& > :is(.MuiStack-root, .MuiFormControl-root)': { marginBottom: '12px', maxWidth: '720px' } },
  editGrid: { display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 430px), 1fr))', gap: '10px', alignItems: 'start', marginBottom: '12px' },
  pair: {
    display: 'grid',
    gridTemplateColumns: '1fr 1fr',
    gap: '12px',
    alignItems: 'start',
    [fold.middle]: { gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)' },
  },
  trio: { [fold.middle]: { gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)' } },
} as const;

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
    <Box sx={[looks.page, styles.editRecipe]}>
      <Box sx={looks.pageHead}>
        <div>
          <Title>{of === null ? 'A recipe of our own' : `Change ${latest(of).recipe.name}`}</Title>
          <Typography variant="note">
            {of === null ? 'It begins as version 1.' : `It becomes version ${latest(of).version + 1}. Batches that were made before keep theirs.`}
          </Typography>
        </div>
      </Box>
      <Box sx={styles.editGrid}>
        <Part title="What it is">
          <Words label="Name" value={draft.name} error={at('name')} onChange={(text) => change({ name: text })} />
          <Box sx={styles.pair}>
            <Pick label="Makes" value={draft.product} onChange={(chosen) => change({ product: chosen })}>
              {PRODUCTS.map((product) => (
                <option key={product} value={product}>
                  {PRODUCT_NAMES[product]}
                </option>
              ))}
            </Pick>
            <Words label="Batch codes begin" value={draft.prefix} error={at('prefix')} onChange={(text) => change({ prefix: text.toUpperCase() })} />
          </Box>
          <Box sx={[looks.trio, styles.trio]}>
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
          </Box>
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
            options={{
              equilibrium: SCHOOL_WORDS.equilibrium[0],
              pumpAndCover: SCHOOL_WORDS.pumpAndCover[0],
              clock: SCHOOL_WORDS.clock[0],
              pumpSame: SCHOOL_WORDS.pumpSame[0],
              dryRub: SCHOOL_WORDS.dryRub[0],
            }}
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
          <Pick
            label="Cure, by its label"
            value={cureName}
            onChange={(chosen) => {
              const cure = CURES.find((one) => one.name === chosen);
              if (cure !== undefined) change({ cure, nitritePpm: cure.nitritePercent === 0 ? 0 : draft.nitritePpm === 0 ? 150 : draft.nitritePpm });
            }}
            error={at('cure')}
          >
            {cureName === '' && <option value="">{draft.cure.name}</option>}
            {CURES.map((cure) => (
              <option key={cure.name} value={cure.name}>
                {cure.name === NO_CURE.name ? 'No cure: fresh salted meat' : cureInWords(cure)}
              </option>
            ))}
          </Pick>
          <Box sx={styles.pair}>
            {number('nitritePpm', 'ppm', 1)}
            {number('saltPercent', '%')}
            {number('sugarPercent', '%')}
            {number('waterPerMeat', 'kg')}
          </Box>
          <Box sx={[looks.trio, styles.trio]}>
            {number('pumpPercent', '%', 1)}
            {number('repumpPercent', '%', 1)}
            {number('pickleSaltPercent', '%', 1)}
          </Box>
          {CURE_TIMES.map((school) => (
            <Box component="fieldset" key={school} sx={[looks.trio, styles.trio]}>
              <Typography variant="label" component="legend">
                Days, {SCHOOL_WORDS[school][0].toLowerCase()}
              </Typography>
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
            </Box>
          ))}
          {number('turnEveryH', 'h', 0)}
          <Spices spices={draft.spices} at={at} onChange={(spices) => change({ spices })} />
        </Part>
        <Part title="Soak, dry, chill">
          <Box sx={[looks.trio, styles.trio]}>
            {number('soakH', 'h')}
            {number('dryH', 'h', 1)}
            {number('restH', 'h')}
            {number('firstGateH', 'h')}
            {number('secondGateH', 'h')}
            {number('evenOutH', 'h', 1)}
          </Box>
          <Box sx={styles.pair}>
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
          </Box>
          <Checks checks={draft.checks} at={at} onChange={(checks) => change({ checks })} />
          <Words label="Note" long value={draft.note} error={at('note')} onChange={(text) => change({ note: text })} />
        </Part>
        <Part title="Smoke and cook">
          <Box sx={styles.pair}>
            <NumberField
              label={say(RECIPE_NUMBER_NAMES.coreTargetC)}
              quantity="temperature"
              decimals={0}
              value={draft.coreTargetC}
              error={at('coreTargetC')}
              onChange={(C) => change({ coreTargetC: C ?? Number.NaN })}
            />
            {number('cookH', 'h')}
          </Box>
          <Box sx={looks.editProgram}>
            <ProgramPhases program={draft.program} targetC={draft.coreTargetC} onChange={(program) => change({ program })} />
          </Box>
          {fault?.field.startsWith('program') === true && <Typography variant="fault">{say(fault)}</Typography>}
        </Part>
      </Box>
      {of !== null && <Words label="What was changed, and why" long value={reason} onChange={setReason} error={undefined} />}
      {fault !== null && <Typography variant="fault">{say(fault)}</Typography>}
      {stop !== undefined && (
        <Typography variant="fault" role="alert">
          {say(stop)}
        </Typography>
      )}
      {refusal !== null && (
        <Typography variant="fault" role="alert">
          {refusal}
        </Typography>
      )}
      <Box sx={acts}>
        <Button variant="contained" disabled={fault !== null || busy} onClick={() => void save()}>
          {busy ? 'Saving...' : of === null ? 'Save the recipe' : `Save version ${latest(of).version + 1}`}
        </Button>
        <Button variant="quiet" onClick={leave}>
          {of === null ? 'Leave it' : 'Leave it as it was'}
        </Button>
      </Box>
    </Box>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Panel title={title}>
      <Box sx={padded}>{children}</Box>
    </Panel>
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

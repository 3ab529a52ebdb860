import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts, padded } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { Panel } from '../../kit/Panel';
import { Title } from '../../kit/Title';
import { Task } from '../../kit/Task';
import { attempt, designOf, planBatch, STATION_NAMES, STATIONS, withWater } from '@bunkhouse/core';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { requestBy } from '@bunkhouse/api';
import { unweighed } from '../../acts/unweighed';
import { latest, processOfVersion, putAway, useRecipes } from '../../data/recipes';
import { houseTime } from '../../data/serverClock';
import { BrineSheet } from '../../charts/BrineSheet';
import { FindingStrip } from '../../kit/FindingStrip';
import { NumberField } from '../../kit/NumberField';
import { ProgramCurve } from '../../charts/ProgramCurve';
import { Plate } from '../../kit/glyphs';
import { usePreferences } from '../../reader/preferences';
import { useSay } from '../../reader/reader';
import { dayWithYear } from '../../reader/times';
import { PRODUCT_NAMES, SCHOOL_WORDS } from '../../reader/words/tradeWords';
import { EditRecipe } from './EditRecipe';
import { recipeLines } from './recipeLines';
import { Versions } from './Versions';
import { Only } from '../../kit/Only';
import { newId } from '../../data/newId';
import { nameHere } from '../../reader/here';
import { fold } from '../../theme/folds';
import { looks, stationed } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed, worded } from '../../theme/type';

const styles = {
  recipeGrid: {
    display: 'grid',
    gridTemplateColumns: 'minmax(320px, 430px) minmax(0, 1fr)',
    gap: '10px',
    alignItems: 'start',
    [fold.middle]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  recipeLeft: { display: 'grid', gap: '10px', minWidth: 0 },
  recipeLines: {
    '& > div': { display: 'grid', gridTemplateColumns: 'minmax(130px, 42%) 1fr', gap: '10px', padding: '6px 12px', borderTop: `1px solid ${t.hair}` },
    '& > div:first-child': { borderTop: 0 },
    '& dt': { font: signed(15, 21, 500), color: t.ink2 },
    '& dd': { font: worded(15, 21, 500), overflowWrap: 'anywhere' },
  },
  recipeRight: { display: 'grid', gap: '10px', minWidth: 0 },
} as const;

/** One recipe: what it says, what it comes to for a weight, and every version of it. */
export function RecipePage() {
  const { id = '' } = useParams();
  const { recipes, isKnown, failed } = useRecipes();
  const found = recipes.find((recipe) => recipe.id === id);
  const [asked, setAsked] = useState<number | null>(null);
  const [mode, setMode] = useState<'look' | 'change' | 'copy'>('look');
  const say = useSay();
  const preferences = usePreferences();
  const navigate = useNavigate();
  const [greenG, setGreenG] = useState<number | undefined>();
  const version = found?.versions.find((one) => one.version === asked) ?? (found === undefined ? undefined : latest(found));
  const process = useMemo(() => (found === undefined || version === undefined ? null : processOfVersion(found.id, version)), [found, version]);
  const weightG = greenG === undefined ? (version?.recipe.piece.greenG ?? 0) : greenG;
  const plan = useMemo(() => {
    if (process === null) return null;
    const design = designOf(process, new Date(0).toISOString());
    const scale = weightG / process.usual.greenG;
    return attempt(() =>
      planBatch(process, {
        ...design,
        pieces: design.pieces.map((piece) => ({ ...piece, greenG: weightG })),
        school: withWater(design.school, Math.max(100, Math.round((design.school.waterG * scale) / 100) * 100)),
      }),
    );
  }, [process, weightG]);
  if (found === undefined || version === undefined || process === null)
    return (
      <Box sx={looks.page}>
        <Title>Recipe</Title>
        <Box component="p" sx={looks.lead}>
          {failed ? 'The recipes cannot be read just now.' : isKnown ? 'There is no such recipe.' : 'Looking for it...'}
        </Box>
        <Button variant="text" component={Link} to="/recipes">
          All recipes
        </Button>
      </Box>
    );
  const { recipe } = version;
  if (mode !== 'look')
    return (
      <EditRecipe
        key={mode}
        from={mode === 'copy' ? { ...recipe, name: `${recipe.name}, ours` } : recipe}
        of={mode === 'copy' ? null : found}
        onDone={() => setMode('look')}
      />
    );
  const start = () =>
    void navigate('/new', {
      state: { request: unweighed(requestBy(process, { id: newId(), by: preferences.name, startsAt: new Date(houseTime()).toISOString() })) },
    });
  return (
    <Box sx={looks.page}>
      <Box sx={looks.pageHead}>
        <div>
          <Title>{recipe.name}</Title>
          <Typography variant="note">
            {PRODUCT_NAMES[recipe.product] === recipe.name
              ? SCHOOL_WORDS[recipe.school][0]
              : `${PRODUCT_NAMES[recipe.product]}, ${SCHOOL_WORDS[recipe.school][0].toLowerCase()}`}
            . Version {version.version} by {version.by}
            {version.at === '' ? '' : `, ${dayWithYear(version.at)}`}
            {found.putAway ? '. Put away: not offered for new batches.' : ''}
          </Typography>
        </div>
        <Box sx={acts}>
          <Only right="plan">
            <Button variant="contained" onClick={start} disabled={found.putAway}>
              Start a batch with this
            </Button>
            <Button onClick={() => setMode('change')}>Change it</Button>
            <Button onClick={() => setMode('copy')}>Copy it</Button>
          </Only>
          <Button variant="quiet" href={`/api/exchange/recipes/${found.id}`} download>
            As a file
          </Button>
          <Only right="plan">
            <Button variant="quiet" onClick={() => void putAway(found.id, !found.putAway)}>
              {found.putAway ? 'Take it out again' : 'Put it away'}
            </Button>
          </Only>
        </Box>
      </Box>
      <Box sx={styles.recipeGrid}>
        <Box sx={styles.recipeLeft}>
          <Panel title="What it says" aside={<>version {version.version}</>}>
            <Box component="dl" sx={styles.recipeLines}>
              {recipeLines(recipe, preferences)
                .slice(2)
                .map(({ key, name, text }) => (
                  <div key={key}>
                    <dt>{name}</dt>
                    <dd>{text}</dd>
                  </div>
                ))}
            </Box>
          </Panel>
          <Versions recipe={found} shown={version.version} onShow={setAsked} />
        </Box>
        <Box sx={styles.recipeRight}>
          <Panel title="For so much meat" aside="one piece">
            <Box sx={padded}>
              <NumberField label="Green weight" quantity="mass" value={weightG} onChange={(value) => setGreenG(value ?? Number.NaN)} />
            </Box>
          </Panel>
          {plan !== null && 'fault' in plan && (
            <Typography variant="fault">{Number.isNaN(weightG) ? 'How much meat? A number is missing.' : say(plan.fault)}</Typography>
          )}
          {plan !== null && 'value' in plan && (
            <>
              {plan.value.findings
                .filter(({ code }) => code !== 'salty' && code !== 'bland')
                .map((finding) => (
                  <FindingStrip key={finding.code} finding={finding} />
                ))}
              <Box sx={looks.figures}>
                {plan.value.facts.brines.map((brine) => (
                  <BrineSheet
                    key={brine.id}
                    brine={brine}
                    figures={plan.value.figures.brines.find((of) => of.brine.id === brine.id)}
                    design={plan.value.design}
                    process={process}
                    facts={plan.value.facts}
                  />
                ))}
              </Box>
              <Panel title="Smoke and cook" aside="the chamber, as planned">
                <ProgramCurve program={recipe.program} />
              </Panel>
              <Panel title="The jobs" aside={<>{plan.value.steps.length} in all</>} sx={looks.planDates} label="Jobs">
                <ol>
                  {STATIONS.flatMap((station) => {
                    const steps = plan.value.steps.filter(({ spec }) => spec.station === station && spec.missable !== true);
                    return steps.length === 0
                      ? []
                      : [
                          <Box component="li" key={station} sx={stationed(station)}>
                            <Plate station={station} size={24} />
                            <b>{STATION_NAMES[station]}</b>
                            <ul>
                              {steps.map(({ spec }) => (
                                <li key={spec.id}>
                                  <span>
                                    <b>{nameHere(spec.title)}.</b> <Task spec={spec} process={process} />
                                  </span>
                                </li>
                              ))}
                            </ul>
                          </Box>,
                        ];
                  })}
                </ol>
              </Panel>
            </>
          )}
        </Box>
      </Box>
    </Box>
  );
}

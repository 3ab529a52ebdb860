import { Task } from '../../shell/Task';
import { designOf, planBatch, attempt, STATION_NAMES, STATIONS } from '@bunkhouse/core';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { requestBy } from '@bunkhouse/api';
import { latest, processOfVersion, putAway, useRecipes } from '../../data/recipes';
import { houseTime } from '../../data/serverClock';
import { BrineSheet } from '../../instruments/BrineSheet';
import { FindingStrip } from '../../instruments/FindingStrip';
import { NumberField } from '../../instruments/NumberField';
import { ProgramCurve } from '../../instruments/ProgramCurve';
import { Plate } from '../../shell/glyphs';
import { usePreferences } from '../../shell/preferences';
import { useSay } from '../../shell/reader';
import { dayWithYear } from '../../shell/times';
import { PRODUCT_NAMES, SCHOOL_WORDS } from '../../shell/tradeWords';
import { EditRecipe } from './EditRecipe';
import { recipeLines } from './recipeLines';
import { Versions } from './Versions';
import { Only } from '../../shell/Only';
import { newId } from '../../data/newId';
import { nameHere } from '../../shell/here';

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
        school: { ...design.school, waterG: Math.max(100, Math.round((design.school.waterG * scale) / 100) * 100) },
      }),
    );
  }, [process, weightG]);
  if (found === undefined || version === undefined || process === null)
    return (
      <div className="page">
        <h1 className="title">Recipe</h1>
        <p className="lead">{failed ? 'The recipes cannot be read just now.' : isKnown ? 'There is no such recipe.' : 'Looking for it...'}</p>
        <Link className="lnk" to="/recipes">
          All recipes
        </Link>
      </div>
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
      state: { request: requestBy(process, { id: newId(), by: preferences.name, startsAt: new Date(houseTime()).toISOString() }) },
    });
  return (
    <div className="page recipe">
      <div className="page-head">
        <div>
          <h1 className="title">{recipe.name}</h1>
          <p className="note">
            {PRODUCT_NAMES[recipe.product] === recipe.name
              ? SCHOOL_WORDS[recipe.school][0]
              : `${PRODUCT_NAMES[recipe.product]}, ${SCHOOL_WORDS[recipe.school][0].toLowerCase()}`}
            . Version {version.version} by {version.by}
            {version.at === '' ? '' : `, ${dayWithYear(version.at)}`}
            {found.putAway ? '. Put away: not offered for new batches.' : ''}
          </p>
        </div>
        <div className="words-act">
          <Only right="plan">
            <button type="button" className="btn go" onClick={start} disabled={found.putAway}>
              Start a batch with this
            </button>
            <button type="button" className="btn" onClick={() => setMode('change')}>
              Change it
            </button>
            <button type="button" className="btn" onClick={() => setMode('copy')}>
              Copy it
            </button>
          </Only>
          <a className="btn quiet" href={`/api/exchange/recipes/${found.id}`} download>
            As a file
          </a>
          <Only right="plan">
            <button type="button" className="btn quiet" onClick={() => void putAway(found.id, !found.putAway)}>
              {found.putAway ? 'Take it out again' : 'Put it away'}
            </button>
          </Only>
        </div>
      </div>
      <div className="recipe-grid">
        <div className="recipe-left">
          <section className="panel">
            <div className="ph">
              <h2>What it says</h2>
              <span className="aside">version {version.version}</span>
            </div>
            <dl className="recipe-lines">
              {recipeLines(recipe, preferences)
                .slice(2)
                .map(({ key, name, text }) => (
                  <div key={key}>
                    <dt>{name}</dt>
                    <dd>{text}</dd>
                  </div>
                ))}
            </dl>
          </section>
          <Versions recipe={found} shown={version.version} onShow={setAsked} />
        </div>
        <div className="recipe-right">
          <section className="panel">
            <div className="ph">
              <h2>For so much meat</h2>
              <span className="aside">one piece</span>
            </div>
            <div className="pad">
              <NumberField label="Green weight" quantity="mass" value={weightG} onChange={(value) => setGreenG(value ?? Number.NaN)} />
            </div>
          </section>
          {plan !== null && 'fault' in plan && <p className="fault">{Number.isNaN(weightG) ? 'How much meat? A number is missing.' : say(plan.fault)}</p>}
          {plan !== null && 'value' in plan && (
            <>
              {plan.value.findings
                .filter(({ code }) => code !== 'salty' && code !== 'bland')
                .map((finding) => (
                  <FindingStrip key={finding.code} finding={finding} />
                ))}
              <div className="figures">
                {plan.value.figures.brines.map((figures) => (
                  <BrineSheet key={figures.brine.id} figures={figures} design={plan.value.design} process={process} facts={plan.value.facts} />
                ))}
              </div>
              <section className="panel">
                <div className="ph">
                  <h2>Smoke and cook</h2>
                  <span className="aside">the chamber, as planned</span>
                </div>
                <ProgramCurve program={recipe.program} />
              </section>
              <section className="panel plan-dates" aria-label="Jobs">
                <div className="ph">
                  <h2>The jobs</h2>
                  <span className="aside">{plan.value.steps.length} in all</span>
                </div>
                <ol>
                  {STATIONS.flatMap((station) => {
                    const steps = plan.value.steps.filter(({ spec }) => spec.station === station && spec.missable !== true);
                    return steps.length === 0
                      ? []
                      : [
                          <li key={station} className={`is-${station}`}>
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
                          </li>,
                        ];
                  })}
                </ol>
              </section>
            </>
          )}
        </div>
      </div>
    </div>
  );
}

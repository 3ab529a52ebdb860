import { useSay } from '../../shell/reader';
import {
  baseFigures,
  cureMixOf,
  makingFigures,
  pumpFigures,
  sheetSection,
  tubFigures,
  type BenchSheet,
  type Finding,
  type Making,
  type Part,
  type RecipeAudit,
  type RecipeLine,
  type Worked,
  type WorkedRecipe,
  SIXTY_F_C,
} from '@bunkhouse/core';
import { memo } from 'react';
import { FindingStrip } from '../../instruments/FindingStrip';
import { Float } from '../../instruments/Float';
import { Hero } from '../../instruments/Hero';
import { HotAndIce } from '../../instruments/HotAndIce';
import { NeedleMap } from '../../instruments/NeedleMap';
import { NitriteGauge } from '../../instruments/NitriteGauge';
import { RecipeTable, type RecipeRow } from '../../instruments/RecipeTable';
import { Working } from '../../instruments/Working';
import { usePreferences } from '../../shell/preferences';
import { digits, inWords, atSite } from '../../shell/quantities';
import { Rules, Schools } from './Argument';
import { HydrometerPanel } from './HydrometerPanel';
import { SheetNumber } from './SheetNumber';
import { TubPanel } from './TubPanel';
import { correctedText } from './sheetText';
import { faultOf, type ChangeSheet } from './useSheet';

/** Everything that a sheet comes to, the nitrite first. */
export const Answer = memo(function Answer({ sheet, worked, change }: { sheet: BenchSheet; worked: Worked; change: ChangeSheet }) {
  if ('fault' in worked.recipe) {
    const empty = sheet.door === 'have' && sheet.text.trim() === '';
    return (
      <>
        {empty ? (
          <section className="panel bench-empty">
            <h2 className="head">Paste the recipe on the left</h2>
            <p className="note">Cups, spoons, pounds and gallons are read as they are. What is not certain is asked, and the doubt is carried to the ppm.</p>
          </section>
        ) : (
          <FindingStrip finding={{ level: 'stop', ...faultOf(worked.recipe.fault) }} />
        )}
        <HydrometerPanel float={worked.float} />
      </>
    );
  }
  const recipe = worked.recipe.value;
  return (
    <>
      {recipe.audit.findings.map((finding) => (
        <FindingStrip key={finding.code} finding={finding} />
      ))}
      <Correct sheet={sheet} worked={worked} recipe={recipe} change={change} />
      {recipe.audit.nitrite.applies.high > 0 && (
        <NitriteGauge nitrite={recipe.audit.nitrite} target={sheet.aimPpm} ruleSet={sheet.ruleSet} weighed={sheet.door === 'have'} open={worked.asking > 0} />
      )}
      <div className="bench-grid">
        <div className="bench-column">
          <Brines sheet={sheet} recipe={recipe} right={rightOf(worked, recipe)} />
          {worked.making !== null && <MakingPanel sheet={sheet} making={worked.making} />}
          <Schools audit={recipe.audit} />
        </div>
        <div className="bench-column">
          <StrengthPanel sheet={sheet} recipe={recipe} />
          {worked.tub !== null && (
            <TubPanel sheet={sheet} tub={worked.tub} change={change} figures={'value' in worked.tub ? tubFigures(sheet, worked.tub.value) : []} />
          )}
          <Rules ruleSet={sheet.ruleSet} audit={recipe.audit} />
        </div>
        {worked.pump !== null && <PumpBench sheet={sheet} pump={worked.pump} />}
        <HydrometerPanel float={worked.float} />
      </div>
    </>
  );
});

/** What would put the dose right, where it is off and every question is answered. */
function rightOf(worked: Worked, { audit }: WorkedRecipe): RecipeAudit['right'] {
  const off =
    audit.nitrite.judgement.verdict !== 'ok' || audit.findings.some((finding: Finding) => finding.code.startsWith('doubt') || finding.code === 'straddle');
  return off && worked.asking === 0 ? audit.right : null;
}

/** One tap to the dose that is right. */
function Correct({ sheet, worked, recipe, change }: { sheet: BenchSheet; worked: Worked; recipe: WorkedRecipe; change: ChangeSheet }) {
  const preferences = usePreferences();
  const right = rightOf(worked, recipe);
  if (right === null) return null;
  if (sheet.door === 'want') return <AimRight sheet={sheet} right={right} change={change} />;
  const { read } = worked;
  if (read === null) return null;
  return (
    <button type="button" className="btn" onClick={() => change({ text: correctedText(sheet, read.lines, recipe) })}>
      Put it right: {inWords(right.cureG, 'smallMass', preferences)} of cure, {digits(right.ppm, 0)} ppm
    </button>
  );
}

/** What is changed in a wish: the aim, or the salt where the salt brings the nitrite. A label's dose is the label's. */
function AimRight({ sheet, right, change }: { sheet: BenchSheet; right: NonNullable<RecipeAudit['right']>; change: ChangeSheet }) {
  if (sheet.school === 'lowStrength') {
    const saltPercent = Math.floor(sheet.saltPercent * right.factor * 100) / 100;
    return (
      <button type="button" className="btn" onClick={() => change({ saltPercent })}>
        Take {digits(saltPercent, 2)} % salt: {digits(right.ppm, 0)} ppm
      </button>
    );
  }
  if (sheet.school === 'readyMix' || sheet.school === 'saltOnly' || sheet.aimPpm === right.ppm) return null;
  return (
    <button type="button" className="btn" onClick={() => change({ aimPpm: right.ppm })}>
      Aim at {digits(right.ppm, 0)} ppm instead
    </button>
  );
}

function Brines({ sheet, recipe, right }: { sheet: BenchSheet; recipe: WorkedRecipe; right: RecipeAudit['right'] }) {
  const corrected = sheet.door === 'have' && right !== null;
  const rows = (lines: readonly RecipeLine[], from: number): RecipeRow[] =>
    lines.flatMap((line, i): RecipeRow[] => {
      const grams = recipe.audit.grams[from + i];
      if (grams === undefined) return [];
      const mix = cureMixOf(line.ingredient, [sheet.cure]);
      if (!corrected || mix === null || mix.nitritePercent <= 0) return [{ line, grams, cure: mix !== null }];
      const put = grams.value * right.factor;
      return [{ line: { ...line, name: mix.name }, grams: { value: put, low: put, high: put }, cure: true, insteadOfG: grams.value }];
    });
  const { lines, coverLines, method } = recipe;
  const aside = sheet.door === 'want' ? 'to weigh' : corrected ? 'in grams, the dose put right' : 'in grams, as read';
  if (coverLines === null) return <RecipeTable title={method === 'dry' ? 'Rub' : 'Brine'} aside={aside} rows={rows(lines, 0)} />;
  return (
    <div className="two-brines">
      <RecipeTable title="Pump pickle" aside={aside} rows={rows(lines, 0)} />
      <RecipeTable title="Cover brine" aside={aside} rows={rows(coverLines, lines.length)} />
    </div>
  );
}

function StrengthPanel({ sheet, recipe: { audit } }: { sheet: BenchSheet; recipe: WorkedRecipe }) {
  const preferences = usePreferences();
  const { strength, salt } = audit;
  if (strength === null) {
    return (
      <section className="panel strength-panel" aria-label="Salt">
        <div className="ph">
          <h2>Salt</h2>
        </div>
        <div className="pad">
          <Hero label="Of the meat" value={digits(salt.value, 2)} unit="%" doubt={doubt(salt)} />
          <Working figures={[salt]} />
        </div>
      </section>
    );
  }
  const floats = strength.float.salometer;
  return (
    <section className="panel strength-panel" aria-label="Brine strength">
      <div className="ph">
        <h2>{audit.coverStrength === null ? 'Brine strength' : 'Pickle strength'}</h2>
        <span className="aside">at {inWords(SIXTY_F_C, 'temperature', preferences)}</span>
      </div>
      <div className="strength-in">
        <div>
          <Hero label="Salt, of the brine" value={digits(strength.saltPercent.value, 1)} unit="% w/w" doubt={doubt(strength.saltPercent)} />
          <p className="note">{floatNote(strength.sugarPercent, (floats ?? 100) - (strength.salometer ?? 100))}</p>
        </div>
        {strength.salometer !== null && <Float reads={floats ?? 100} saltAlone={strength.salometer} />}
        <dl className="facts">
          <div>
            <dt>of the water</dt>
            <dd>{digits(strength.bases.ofWater, 1)} %</dd>
          </div>
          <div>
            <dt>of meat and water</dt>
            <dd>{digits(strength.bases.ofMeatAndWater, 2)} %</dd>
          </div>
          <div>
            <dt>salometer</dt>
            <dd>{strength.salometer === null ? 'beyond saturation' : `${digits(strength.salometer, 1)} °`}</dd>
          </div>
          <div>
            <dt>specific gravity</dt>
            <dd>{digits(strength.specificGravity, 3)}</dd>
          </div>
          <div>
            <dt>Baumé</dt>
            <dd>{digits(strength.baume, 1)} °</dd>
          </div>
          {audit.coverStrength !== null && (
            <div>
              <dt>cover brine</dt>
              <dd>{digits(audit.coverStrength.saltPercent.value, 1)} % w/w</dd>
            </div>
          )}
          <div>
            <dt>when even</dt>
            <dd>
              {digits(salt.value, 2)} % {doubt(salt)}
            </dd>
          </div>
        </dl>
        <Working figures={[strength.saltPercent, ...baseFigures(audit, strength, sheet.greenG), salt]} />
      </div>
    </section>
  );
}

const doubt = ({ low, high }: { low: number; high: number }): string | undefined =>
  high - low < 0.01 ? undefined : `± ${digits((high - low) / 2, (high - low) / 2 < 0.1 ? 2 : 1)}`;

const floatNote = (sugarPercent: number, lift: number): string =>
  lift >= 1 ? `${digits(sugarPercent, 1)} % sugar lifts the float ${digits(lift, 0)}°.` : 'Nothing but salt lifts the float.';

const MAKING_NAMES: Readonly<Record<Making['id'], string>> = { brine: 'The brine', pickle: 'The pickle', cover: 'The cover' };

function MakingPanel({ sheet, making }: { sheet: BenchSheet; making: Part<Making[]> }) {
  const say = useSay();
  const preferences = usePreferences();
  return (
    <section className="panel" aria-label="Hot and ice">
      <div className="ph">
        <h2>Hot and ice</h2>
        <span className="aside">ice counts as water</span>
      </div>
      <div className="pad">
        {'fault' in making ? (
          <p className="fault">{say(faultOf(making.fault))}</p>
        ) : (
          making.value.map((made) => (
            <div key={made.id} className="making">
              {making.value.length > 1 && <span className="label">{MAKING_NAMES[made.id]}</span>}
              <HotAndIce split={made.split} hotC={sheet.hotC} coldC={sheet.coldC} />
              <p className="note">
                {made.split.reached
                  ? `Mixed, it stands at ${inWords(made.split.finalC, 'temperature', preferences)}.`
                  : `Not cold enough: even all the rest as ice leaves ${inWords(made.split.finalC, 'temperature', preferences)}. Heat less of the water, or chill it before the meat goes in.`}
                {made.fitsPot ? '' : ` The pot holds no more than ${digits(Math.floor(made.mostPercent), 0)} % of the water as concentrate.`}
                {made.refrigeratorH === null
                  ? ''
                  : ` Without ice it takes about ${hours(made.refrigeratorH)} in the refrigerator to come below ${inWords(4, 'temperature', preferences, 0)}${made.iceBathH === null ? '' : `, ${hours(made.iceBathH)} stirred in an ice bath`}.`}
              </p>
              <Working figures={makingFigures(sheet, made)} />
            </div>
          ))
        )}
        <div className="trio">
          <SheetNumber field="concentratePercent" label="Heated" sign="%" />
          <SheetNumber field="hotC" label="Hot" quantity="temperature" />
          <SheetNumber field="coldC" label="Tap" quantity="temperature" />
          <SheetNumber field="targetC" label="Wanted" quantity="temperature" />
          <SheetNumber field="potML" label="Pot" quantity="volume" />
        </div>
      </div>
    </section>
  );
}

const hours = (h: number): string => (h < 1 ? `${Math.max(5, Math.round((h * 60) / 5) * 5)} min` : `${digits(h, h < 10 ? 1 : 0)} h`);

function PumpBench({ sheet, pump }: { sheet: BenchSheet; pump: NonNullable<Worked['pump']> }) {
  const say = useSay();
  const preferences = usePreferences();
  if ('fault' in pump) {
    return (
      <section className="panel wide" aria-label="Pump">
        <div className="ph">
          <h2>Pump</h2>
        </div>
        <p className="fault pad">{say(faultOf(pump.fault))}</p>
        <PumpFields />
      </section>
    );
  }
  const { plan, map, actual } = pump.value;
  return (
    <section className="panel wide" aria-label="Pump">
      <div className="ph">
        <h2>Pump</h2>
        <span className="aside">{sheet.pieces > 1 ? 'each piece' : 'around bone and joints first'}</span>
      </div>
      <div className="pump-bench">
        <NeedleMap map={map} section={sheetSection(sheet)} lengthMm={sheet.lengthMm} mLPerSite={plan.mLPerSite} />
        <div className="pump-words">
          <Hero label="To pump" value={inWords(plan.brineG, 'mass', preferences).split(' ')[0] ?? ''} unit={preferences.system === 'us' ? 'lb' : 'g'} />
          <dl className="facts">
            <div>
              <dt>strokes</dt>
              <dd>
                {plan.strokes} of {inWords(sheet.syringeML, 'volume', preferences)}
              </dd>
            </div>
            <div>
              <dt>needle sites</dt>
              <dd>{plan.sites}</dd>
            </div>
            <div>
              <dt>at each</dt>
              <dd>{atSite(plan.mLPerSite, preferences)}</dd>
            </div>
          </dl>
          <Working figures={pumpFigures(sheet, pump.value)} />
        </div>
      </div>
      <PumpFields />
      {actual !== null && (
        <div className="pad actual">
          <Hero label="It took" value={digits(actual.percent, 1)} unit="% of green" />
          <Hero label="Ingoing from the pump" value={digits(actual.ppm, 0)} unit="ppm" tone="nitrite" />
          <p className="lead">{say(actual.say)}</p>
        </div>
      )}
    </section>
  );
}

function PumpFields() {
  return (
    <div className="pad trio">
      <SheetNumber field="syringeML" label="Syringe" quantity="volume" />
      <SheetNumber field="spacingMm" label="A site every" quantity="length" />
      <SheetNumber field="pumpedG" label="Weight after, all pieces" quantity="mass" optional placeholder="not weighed" />
    </div>
  );
}

import { CURE_METHODS, cureMixOf, lineContents, unitKind, type ReadLine, type ReadRecipe } from '@bunkhouse/core';
import { useId } from 'react';
import { Choice } from '../../shell/Choice';
import { LONGEST_TEXT } from '../../shell/benchAddress';
import { usePreferences } from '../../shell/preferences';
import { digits, inWords } from '../../shell/quantities';
import { CureFields } from './CureFields';
import { MeatFields } from './MeatFields';
import { BenchScales } from './BenchScales';
import { SheetNumber, SheetSelect } from './SheetNumber';
import { useSheetContext } from './useSheet';
import { USE_WORDS } from './words';
import { useSay } from '../../shell/reader';
import { cureName } from '../../shell/tradeWords';

/** A recipe as it stands on paper: read, asked about, and how it is used. */
export function HaveForm({ read }: { read: ReadRecipe }) {
  const say = useSay();
  const { sheet, change } = useSheetContext();
  const preferences = usePreferences();
  const id = useId();
  const pumps = sheet.use === 'pumped' || sheet.use === 'pumpAndCover';
  const { meatG } = read;
  return (
    <>
      <section className="panel">
        <div className="ph">
          <h2>What I have</h2>
          <span className="aside">any measures</span>
        </div>
        <div className="pad">
          <div className="field">
            <label className="label" htmlFor={id}>
              The recipe, a line each or commas between
            </label>
            <textarea
              id={id}
              className="box recipe-text"
              rows={7}
              value={sheet.text}
              placeholder={'2 1/2 cups coarse salt\n1 gal water\n4 tsp pink cure #1'}
              onChange={(event) => change({ text: event.target.value })}
            />
            {sheet.text.length > LONGEST_TEXT && <p className="fault">Too long for the address: this sheet is lost when the page is closed.</p>}
          </div>
          {read.questions.map((question) => (
            <div key={question.id} className={`question${sheet.answers[question.id] === undefined ? ' asked' : ''}`}>
              <Choice
                label={say(question.ask)}
                value={sheet.answers[question.id] ?? ''}
                options={Object.fromEntries(question.options.map((option) => [option.value, cureName(say(option.label))]))}
                onChange={(answer) => change({ answers: { ...sheet.answers, [question.id]: answer } })}
              />
            </div>
          ))}
        </div>
        {read.lines.length > 0 && <ReadLines lines={read.lines} />}
      </section>
      <section className="panel">
        <div className="ph">
          <h2>The meat, and how it is used</h2>
        </div>
        <div className="pad">
          {meatG !== null && Math.abs(meatG / sheet.greenG - 1) > 0.001 && (
            <button type="button" className="btn" onClick={() => change({ greenG: Math.round(meatG) })}>
              Take {inWords(meatG, 'mass', preferences)} of meat, as the recipe says
            </button>
          )}
          <SheetSelect
            label="How it is used"
            value={sheet.use}
            options={CURE_METHODS.map((use) => [use, USE_WORDS[use]] as const)}
            onChange={(use) => change({ use })}
          />
          <MeatFields />
          <div className="pair">
            {pumps && <SheetNumber field="pumpPercent" label="Pump, of green weight" sign="%" />}
            <SheetNumber field="lyingDays" label="Days in the brine" sign="d" decimals={1} optional placeholder="not said" />
            {(sheet.use === 'immersion' || sheet.use === 'clock') && (
              <SheetNumber field="pulledG" label="Weight when pulled" quantity="mass" optional placeholder="not weighed" />
            )}
            <SheetNumber field="aimPpm" label="Nitrite to aim at" sign="ppm" />
          </div>
          <CureFields />
          <div className="pair">
            <SheetNumber field="meatStepG" label="Big scale steps by" quantity="smallMass" />
            <SheetNumber field="cureStepG" label="Cure scale steps by" quantity="smallMass" />
          </div>
          <BenchScales />
        </div>
      </section>
    </>
  );
}

const STEPS = [0.01, 0.1, 0.5, 1, 2, 5, 10, 50] as const;

/** What was read of each line, in grams with its doubt; a weighed line names its scale. */
function ReadLines({ lines }: { lines: readonly ReadLine[] }) {
  return (
    <table className="read-lines">
      <thead>
        <tr>
          <th scope="col">As read</th>
          <th scope="col" className="n">
            Grams
          </th>
          <th scope="col">Measured by</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line, i) => (
          <ReadRow key={i} index={i} read={line} />
        ))}
      </tbody>
    </table>
  );
}

function ReadRow({ index, read }: { index: number; read: ReadLine }) {
  const say = useSay();
  const { sheet, change } = useSheetContext();
  const { line } = read;
  if (line === null) {
    return (
      <tr className={read.needed ? 'wrong' : undefined}>
        <th scope="row">{read.text}</th>
        <td colSpan={2} className="note">
          {read.fault === undefined ? 'Meat' : say(read.fault)}
        </td>
      </tr>
    );
  }
  const cure = cureMixOf(line.ingredient, [sheet.cure]) !== null;
  const usualStep = cure ? sheet.cureStepG : sheet.meatStepG;
  const step = sheet.lineSteps[index] ?? usualStep;
  const byWeight = unitKind(line.unit) === 'mass';
  const onScale = byWeight ? { ...line, stepG: step } : line;
  const { grams } = lineContents(onScale, [sheet.cure]);
  const half = (grams.high - grams.low) / 2;
  return (
    <tr className={cure ? 'cure' : undefined}>
      <th scope="row">
        {line.name}
        {line.ingredient === 'flavouring' && <small>flavouring</small>}
      </th>
      <td className="n num">
        {digits(grams.value, grams.value < 100 ? 1 : 0)}
        <small>± {digits(half, half < 10 ? 1 : 0)}</small>
      </td>
      <td>
        {byWeight ? (
          <select
            className="box slim"
            aria-label={`Scale for ${line.name ?? read.text}`}
            value={step}
            onChange={(event) => change({ lineSteps: { ...sheet.lineSteps, [index]: Number(event.target.value) } })}
          >
            {[...new Set([...STEPS, usualStep, step])]
              .sort((a, b) => a - b)
              .map((grain) => (
                <option key={grain} value={grain}>
                  {grain} g scale
                </option>
              ))}
          </select>
        ) : (
          <span className="note">{line.heaped === true ? 'heaped ' : ''}measure</span>
        )}
      </td>
    </tr>
  );
}

import {
  BRINE_NAMES,
  floatReading,
  NO_CURE,
  SIXTY_F_C,
  splitWater,
  sum,
  type BatchDesign,
  type BatchFacts,
  type BrineFigures,
  type Process,
} from '@bunkhouse/core';
import { useMemo, useState } from 'react';
import { usePreferences } from '../shell/preferences';
import { digits, inWords, type Quantity, perMeat, fewDigits } from '../shell/quantities';
import { Float } from './Float';
import { HotAndIce } from './HotAndIce';
import { Working } from './Working';
import { cureName } from '../shell/tradeWords';

/** What to weigh into a bucket, and how strong it comes out. Spice goes into what the meat lies in, by the weight of the meat. */
export function BrineSheet({ figures, design, process, facts }: { figures: BrineFigures; design: BatchDesign; process?: Process; facts?: BatchFacts }) {
  const preferences = usePreferences();
  const { brine, strength, salometer } = figures;
  const all: { name: string; note?: string; grams: number; quantity: Quantity; step: number; cure?: boolean }[] = [
    { name: 'Water', note: 'ice counts', grams: brine.waterG, quantity: 'mass', step: design.meatScaleStepG },
    { name: 'Salt', grams: brine.saltG, quantity: 'mass', step: design.meatScaleStepG },
    { name: 'Sugar', grams: brine.sugarG, quantity: 'mass', step: design.meatScaleStepG },
    ...(brine.id === 'pickle' || facts === undefined ? [] : (process?.usual.spices ?? [])).map(({ name, gPerKg }) => ({
      name,
      note: perMeat(gPerKg, preferences),
      grams: (gPerKg * sum(facts?.greenG ?? {})) / 1000,
      quantity: 'smallMass' as const,
      step: design.cureScaleStepG,
    })),
    {
      name: cureName(design.cure.name),
      note: `${fewDigits(design.cure.nitritePercent)} % nitrite`,
      grams: brine.cureG,
      quantity: 'smallMass',
      step: design.cureScaleStepG,
      cure: true,
    },
    ...(brine.acceleratorG === undefined
      ? []
      : [
          {
            name: 'Ascorbate or erythorbate',
            note: 'last, never into warm concentrate',
            grams: brine.acceleratorG,
            quantity: 'smallMass' as const,
            step: design.cureScaleStepG,
          },
        ]),
  ];
  const lines = all.filter(({ name }) => name !== NO_CURE.name);
  return (
    <section className="panel brine-sheet" aria-label={BRINE_NAMES[brine.id]}>
      <div className="ph">
        <h2>{BRINE_NAMES[brine.id]}</h2>
        <span className="aside">{brine.weighed ? 'as weighed' : 'to weigh'}</span>
      </div>
      <table>
        <tbody>
          {lines.map((line) => (
            <tr key={line.name} className={line.cure ? 'cure' : undefined}>
              <th scope="row">
                {line.name}
                {line.note !== undefined && <small>{line.note}</small>}
              </th>
              <td className="num">{inWords(line.grams, line.quantity, preferences)}</td>
              <td className="step">± {inWords(line.step / 2, line.quantity, preferences, decimalsOf(line.step / 2, preferences.system))}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">Together</th>
            <td className="num">{inWords(brine.brineG, 'mass', preferences)}</td>
            <td />
          </tr>
        </tfoot>
      </table>
      <div className="strength">
        <span className="num">{digits(strength.value, 1)}</span> <span className="unit">% salt</span>
        <span className="num">{digits(salometer, 0)}</span> <span className="unit">° salometer</span>
        <Working figures={[strength]} />
      </div>
      <Floats figures={figures} />
      {!brine.weighed && <Cold figures={figures} />}
    </section>
  );
}

/** What a hydrometer will say to it: to check the bucket by. */
function Floats({ figures: { brine, strength, salometer } }: { figures: BrineFigures }) {
  const preferences = usePreferences();
  const [open, setOpen] = useState(false);
  const sugarPercent = Math.min(30, (brine.sugarG / brine.brineG) * 100);
  const reads = useMemo(() => floatReading({ saltPercent: strength.value, sugarPercent, sampleC: SIXTY_F_C }).salometer, [strength.value, sugarPercent]);
  if (reads === null) return null;
  return (
    <div className="floats">
      <p className="note">
        A float should read {digits(reads, 0)} ° in it at {inWords(SIXTY_F_C, 'temperature', preferences)}
        {reads - salometer >= 1 ? `: its sugar lifts it ${digits(reads - salometer, 0)} °` : ''}.
      </p>
      <button type="button" className="lnk" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide the float' : 'Show the float'}
      </button>
      {open && <Float reads={reads} saltAlone={salometer} />}
    </div>
  );
}

/** A kitchen's usual split: the Bench has every other one. */
const USUAL_SPLIT = { concentrateFraction: 0.3, hotC: 95, coldC: 12, targetC: 3 };

function Cold({ figures: { brine } }: { figures: BrineFigures }) {
  const preferences = usePreferences();
  const split = splitWater({ totalWaterG: brine.waterG, ...USUAL_SPLIT, soluteG: brine.saltG + brine.sugarG });
  return (
    <div className="floats">
      <HotAndIce split={split} hotC={USUAL_SPLIT.hotC} coldC={USUAL_SPLIT.coldC} />
      <p className="note">
        The water in three parts: mixed, it stands at {inWords(split.finalC, 'temperature', preferences, 0)}. Other temperatures: on the Bench.
      </p>
    </div>
  );
}

const decimalsOf = (grams: number, system: 'metric' | 'us'): number => (system === 'us' ? 3 : grams < 1 ? 2 : 1);

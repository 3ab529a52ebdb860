import { BRINE_NAMES, type BatchDesign, type BrineFigures } from '@bunkhouse/core';
import { usePreferences } from '../shell/preferences';
import { digits, inWords, type Quantity } from '../shell/quantities';
import { Working } from './Working';

/** What to weigh into a bucket, and how strong it comes out. */
export function BrineSheet({ figures, design }: { figures: BrineFigures; design: BatchDesign }) {
  const preferences = usePreferences();
  const { brine, strength, salometer } = figures;
  const lines: { name: string; note?: string; grams: number; quantity: Quantity; step: number; cure?: boolean }[] = [
    { name: 'Water', note: 'ice counts', grams: brine.waterG, quantity: 'mass', step: design.meatScaleStepG },
    { name: 'Salt', grams: brine.saltG, quantity: 'mass', step: design.meatScaleStepG },
    { name: 'Sugar', grams: brine.sugarG, quantity: 'mass', step: design.meatScaleStepG },
    {
      name: design.cure.name,
      note: `${design.cure.nitritePercent} % nitrite`,
      grams: brine.cureG,
      quantity: 'smallMass',
      step: design.cureScaleStepG,
      cure: true,
    },
  ];
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
    </section>
  );
}

const decimalsOf = (grams: number, system: 'metric' | 'us'): number => (system === 'us' ? 3 : grams < 1 ? 2 : 1);

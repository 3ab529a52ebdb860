import { BRINE_NAMES, pumpMap, sum } from '@bunkhouse/core';
import type { Batch } from '../../data/batches';
import { NeedleMap } from '../../instruments/NeedleMap';
import { usePreferences } from '../../shell/preferences';
import { inWords, atSite } from '../../shell/quantities';
import { OneBatch } from './OneBatch';
import { Sheet } from './Sheet';
import { cureName } from '../../shell/tradeWords';

/** A card for the wall: what to weigh, with a box to tick for each line, and where the needle goes. */
export const MixingCard = () => <OneBatch>{(batch) => <Card batch={batch} />}</OneBatch>;

function Card({ batch: { record, state } }: { batch: Batch }) {
  const { code } = record;
  const preferences = usePreferences();
  const { design, facts, figures } = state;
  const green = sum(facts.greenG);
  return (
    <Sheet
      title={`Mixing card ${code}`}
      aside={`${record.process.name}, ${inWords(green, 'mass', preferences)} green`}
      back={{ to: `/batches/${record.id}`, word: `To ${code}` }}
    >
      {facts.brines.map((brine) => (
        <section key={brine.id} className="mixing">
          <h2>{BRINE_NAMES[brine.id]}</h2>
          <table>
            <tbody>
              {[
                ['Water, ice counts', inWords(brine.waterG, 'mass', preferences)],
                ['Salt', inWords(brine.saltG, 'mass', preferences)],
                ['Sugar', inWords(brine.sugarG, 'mass', preferences)],
                ...(brine.id === 'pickle' ? [] : (record.process.usual.spices ?? [])).map(
                  ({ name, gPerKg }) => [name, inWords((gPerKg * green) / 1000, 'smallMass', preferences)] as const,
                ),
                ...(brine.cureG > 0 ? [[`${cureName(design.cure.name)}, on its own scale`, inWords(brine.cureG, 'smallMass', preferences)] as const] : []),
                ...(brine.acceleratorG === undefined ? [] : [['Ascorbate or erythorbate', inWords(brine.acceleratorG, 'smallMass', preferences)] as const]),
              ].map(([name, amount]) => (
                <tr key={name}>
                  <td className="box-cell" aria-label="to tick" />
                  <th scope="row">{name}</th>
                  <td className="amount">{amount}</td>
                  <td className="by-line">by</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
      <p className="sheet-words">
        Cold before the meat goes in: {inWords(4, 'temperature', preferences, 0)} or below. Weigh every line. Nitrite is poisonous in gram amounts: label it,
        lock it away.
      </p>
      {design.school.kind === 'pumpAndCover' &&
        figures.pump.map(({ code: piece, plan }) => {
          const own = design.pieces.find((one) => one.code === piece);
          if (own === undefined || design.school.kind !== 'pumpAndCover') return null;
          return (
            <section key={piece} className="mixing">
              <h2>
                Pump, piece {piece}: {inWords(plan.brineG, 'mass', preferences)}, {plan.sites} sites of {atSite(plan.mLPerSite, preferences)}
              </h2>
              <NeedleMap
                map={pumpMap({ section: own.section, lengthMm: own.lengthMm, spacingMm: design.school.spacingMm })}
                section={own.section}
                lengthMm={own.lengthMm}
                mLPerSite={plan.mLPerSite}
              />
            </section>
          );
        })}
    </Sheet>
  );
}

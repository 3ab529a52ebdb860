import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { COLD_MOST_C, brineName, isPumped, pumpMap, sheetLines, spicesOf, sum } from '@bunkhouse/core';
import type { Batch } from '../../data/batches';
import { NeedleMap } from '../../charts/NeedleMap';
import { usePreferences } from '../../reader/preferences';
import { inWords, atSite } from '../../reader/quantities';
import { OneBatch } from './OneBatch';
import { Sheet } from './Sheet';
import { VesselsTable } from '../../kit/VesselsTable';
import { cureName } from '../../reader/words/tradeWords';

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
          <h2>{brineName(brine.id, design.school)}</h2>
          <Table size="small">
            <TableBody>
              {[
                ...sheetLines(brine, design).map(
                  ({ name, label, g, scale }) =>
                    [
                      name === 'waterG' ? 'Water, ice counts' : name === 'cureG' ? `${cureName(label)}, on its own scale` : label,
                      inWords(g, scale === 'cure' ? 'smallMass' : 'mass', preferences),
                    ] as const,
                ),
                ...(brine.id === 'pickle' ? [] : spicesOf(record.process, design)).map(
                  ({ name, gPerKg }) => [name, inWords((gPerKg * green) / 1000, 'smallMass', preferences)] as const,
                ),
              ].map(([name, amount]) => (
                <TableRow key={name}>
                  <TableCell className="box-cell" aria-label="to tick" />
                  <TableCell component="th" scope="row">
                    {name}
                  </TableCell>
                  <TableCell className="amount">{amount}</TableCell>
                  <TableCell className="by-line">by</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </section>
      ))}
      {state.vessels.length > 0 && (
        <section className="mixing">
          <h2>What goes where</h2>
          <VesselsTable vessels={state.vessels} isRub={design.school.kind === 'dryRub'} />
        </section>
      )}
      <p className="sheet-words">
        Cold before the meat goes in: {inWords(COLD_MOST_C, 'temperature', preferences, 0)} or below. Weigh every line. Nitrite is poisonous in gram amounts:
        label it, lock it away.
      </p>
      {isPumped(design.school) &&
        figures.pump.map(({ code: piece, plan }) => {
          const own = design.pieces.find((one) => one.code === piece);
          if (own === undefined || !isPumped(design.school)) return null;
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

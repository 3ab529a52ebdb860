import { quantityOf } from '../../shell/record/quantityOf';
import {
  ownReason,
  planSaid,
  bookLines,
  deviations,
  inputNames,
  lethalityTable,
  pieceReleases,
  RULE_SETS,
  STATION_NAMES,
  STATIONS,
  type StepInput,
} from '@bunkhouse/core';
import { Fragment } from 'react';
import type { Batch } from '../../data/batches';
import { useLots } from '../../data/lots';
import { pictureUrl, usePictures } from '../../data/pictures';
import { figureText } from '../../instruments/Working';
import { bookCell, greyInWords } from '../../shell/bookWords';
import { LOT_WORDS, lotName } from '../../shell/lotWords';
import { usePreferences, type Preferences } from '../../shell/preferences';
import { digits, inWords, fewDigits } from '../../shell/quantities';
import { readWithWords } from '../../shell/toolWords';
import { OneBatch } from './OneBatch';
import { Sheet } from './Sheet';
import { useBatchChannels } from '../../shell/pit/useBatchChannels';
import { useSay } from '../../shell/reader';
import { cureInWords } from '../../shell/tradeWords';
import { writtenTime } from '../../shell/times';
import { nameHere } from '../../shell/here';

const WHEN = 'ddd D MMM YYYY HH:mm';
const day = (at: string | number) => writtenTime(at, 'D MMM YYYY');

/** The batch record: all that an inspector asks for, on paper. */
export const Record = () => <OneBatch>{(batch) => <RecordSheet batch={batch} />}</OneBatch>;

function RecordSheet({ batch }: { batch: Batch }) {
  const { record, state } = batch;
  const channels = useBatchChannels(batch);
  const released = pieceReleases(record, state, state.endedAt ?? Date.now(), channels);
  const preferences = usePreferences();
  const say = useSay();
  const lines = bookLines(record, state);
  const odd = deviations(record, state);
  const { data: lots = [] } = useLots();
  const { data: pictures = [] } = usePictures(record.id);
  const taken = state.standing.flatMap((entry) => (entry.kind === 'lot' ? [entry] : []));
  const { nitrite } = state.figures;
  const rules = record.design.ruleSet === 'house' ? 'House rules' : RULE_SETS[record.design.ruleSet].name;
  return (
    <Sheet
      title={`Batch record ${record.code}`}
      aside={`${record.process.name}, started ${day(record.design.startsAt)}`}
      back={{ to: `/batches/${record.id}`, word: `To ${record.code}` }}
    >
      <section>
        <h2>What it is</h2>
        <table>
          <tbody>
            <Row name="Recipe">
              {record.process.name}
              {record.process.recipe === undefined ? '' : `, version ${record.process.recipe.version}`}
            </Row>
            {record.origin !== undefined && <Row name="Cut from">{record.origin.code}</Row>}
            <Row name="Pieces">
              {record.design.pieces.map(({ code }) => `${record.code} ${code}, ${inWords(state.firstGreenG[code] ?? 0, 'mass', preferences)} green`).join('; ')}
            </Row>
            <Row name="Started by">
              {record.createdBy}, {writtenTime(record.createdAt, WHEN)}
            </Row>
            <Row name="Cure">
              {record.design.nitritePpm === 0 ? 'none' : `${cureInWords(record.design.cure)}, ${fewDigits(record.design.cure.nitratePercent)} % nitrate`}
            </Row>
            <Row name="Nitrite, ingoing">
              {figureText(nitrite.applies, preferences)} {say(nitrite.applies.said.base)}, from {digits(nitrite.applies.low, 1)} to{' '}
              {digits(nitrite.applies.high, 1)}. {rules}: floor {nitrite.judgement.floor}, limit {nitrite.judgement.limit} ppm.{' '}
              {say(nitrite.applies.said.working)}
            </Row>
            <Row name="Ended">
              {state.endedAt === null ? 'not yet' : `${state.outcome === 'finished' ? 'packed' : 'thrown away'} ${writtenTime(state.endedAt, WHEN)}`}
            </Row>
          </tbody>
        </table>
      </section>
      <section>
        <h2>Brine, as {state.facts.brines.every(({ weighed }) => weighed) ? 'weighed' : 'planned'}</h2>
        <table>
          <thead>
            <tr>
              {['', 'Water', 'Salt', 'Sugar', 'Cure', 'Together'].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {state.facts.brines.map((brine) => (
              <tr key={brine.id}>
                <th scope="row">{{ brine: 'Brine', pickle: 'Pump pickle', cover: 'Cover brine' }[brine.id]}</th>
                {[brine.waterG, brine.saltG, brine.sugarG].map((g, i) => (
                  <td key={i}>{inWords(g, 'mass', preferences)}</td>
                ))}
                <td>{inWords(brine.cureG, 'smallMass', preferences)}</td>
                <td>{inWords(brine.brineG, 'mass', preferences)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {taken.length > 0 && (
        <section>
          <h2>Lots</h2>
          <table>
            <tbody>
              {taken.map(({ id, draw }) => {
                const lot = lots.find((one) => one.id === draw.lot);
                return (
                  <tr key={id}>
                    <th scope="row">{LOT_WORDS[draw.of]}</th>
                    <td>{lot === undefined ? draw.lot : `${lotName(lot)}${lot.supplier === '' ? '' : `, from ${lot.supplier}`}`}</td>
                    <td>{inWords(draw.g, draw.of === 'cure' ? 'smallMass' : 'mass', preferences)}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </section>
      )}
      <section>
        <h2>Planned and measured</h2>
        <table>
          <thead>
            <tr>
              {['', 'Planned', 'Measured'].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {STATIONS.map((station) => (
              <Fragment key={station}>
                {lines
                  .filter((line) => line.station === station && (line.actual !== null || line.planned !== null))
                  .map(({ key, said, unit, planned, actual }) => (
                    <tr key={key}>
                      <th scope="row">
                        {STATION_NAMES[station]}: {say(said).toLowerCase()}
                      </th>
                      <td>{bookCell(planned, unit, preferences, say)}</td>
                      <td>{bookCell(actual, unit, preferences, say)}</td>
                    </tr>
                  ))}
              </Fragment>
            ))}
          </tbody>
        </table>
      </section>
      <section>
        <h2>What each piece has shown</h2>
        <table>
          <thead>
            <tr>
              {['Piece', 'Cure in the middle', 'Heat', 'Chill gates'].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {released.map(({ piece, cooked, chilled }) => {
              const cure = state.cured.find(({ code }) => code === piece);
              return (
                <tr key={piece}>
                  <th scope="row">{piece}</th>
                  <td>
                    {cure === undefined || cure.why === 'noCure'
                      ? 'no cure'
                      : `${cure.isCured ? 'cured' : 'not cured'}: ${digits(cure.leastPpm, 0)} ppm at the least, ${digits(cure.meanPpm.typical, 0)} as a mean, by the model after ${digits(cure.lainDays, 1)} days`}
                  </td>
                  <td>
                    {SHOWN_WORDS[cooked]}
                    {cooked === 'met' && `, ${say(lethalityTable(record.design.ruleSet, record.design.product).standsFor)}`}
                  </td>
                  <td>{CHILLED_WORDS[chilled]}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
      <section>
        <h2>Deviations and corrections</h2>
        {odd.length === 0 ? (
          <p>None.</p>
        ) : (
          <table>
            <tbody>
              {odd.map(({ entryId, at, by, said, reason }) => (
                <tr key={entryId}>
                  <td>{writtenTime(at, WHEN)}</td>
                  <th scope="row">{say(said)}</th>
                  <td>{reason}</td>
                  <td>{by}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      {pictures.length > 0 && (
        <section>
          <h2>Cut faces</h2>
          <div className="record-faces">
            {pictures.map((picture) => (
              <figure key={picture.id}>
                <img src={pictureUrl(picture)} width={picture.width} height={picture.height} alt={`Piece ${picture.piece}`} />
                <figcaption>
                  Piece {picture.piece}, {writtenTime(picture.at, WHEN)}, {picture.by}
                  {picture.reading === null ? '' : `. ${greyInWords(picture.reading.shares)}, by the camera: an aid, no verdict`}
                </figcaption>
              </figure>
            ))}
          </div>
        </section>
      )}
      <section className="may-break">
        <h2>The log, as it was written</h2>
        <table>
          <thead>
            <tr>
              {['Done', 'What', 'Measured', 'By', 'Written down'].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {record.entries.map((entry) => {
              const spec = 'stepId' in entry ? state.step(entry.stepId)?.spec : undefined;
              const why = ownReason(entry, state.steps);
              return (
                <tr key={entry.id}>
                  <td>{writtenTime(entry.at, 'D MMM HH:mm')}</td>
                  <td>
                    {'stepId' in entry ? nameHere(spec?.title ?? entry.stepId) : WORDS[entry.kind]}
                    {entry.kind === 'skipped' ? ', left out' : ''}
                    {why === undefined ? '' : `: ${why}`}
                  </td>
                  <td>
                    {entry.kind === 'replanned' ? say(planSaid(entry.changes, state.steps)) : ''}
                    {'values' in entry ? measured(spec?.inputs ?? [], entry.values, record.design.pieces, preferences) : ''}
                    {entry.kind === 'pit' && entry.event.act === 'check'
                      ? `core ${entry.event.placesC.map((C) => inWords(C, 'temperature', preferences)).join(', ')}`
                      : ''}
                    {entry.kind === 'pit' && entry.event.act === 'bath' ? `water ${inWords(entry.event.waterC, 'temperature', preferences)}` : ''}
                    {'read' in entry && entry.read !== undefined ? `. ${readWithWords(entry.read, preferences)}` : ''}
                  </td>
                  <td>{entry.by}</td>
                  <td>{writtenTime(entry.recordedAt, 'D MMM HH:mm')}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
      <footer className="sheet-foot">
        <p>Computed figures are not legal advice. Your local food code, your inspector and the label of your cure decide.</p>
        <p className="sign-line">Checked by, date</p>
      </footer>
    </Sheet>
  );
}

const WORDS = {
  correction: 'Correction',
  withdrawn: 'Taken back',
  ended: 'Thrown away',
  replanned: 'New plan',
  pit: 'At the pit',
  pieces: 'Pieces',
  lot: 'From a lot',
  note: 'Note',
} as const;

const SHOWN_WORDS = { met: 'shown', notMet: 'not met', notShown: 'not shown' } as const;
const CHILLED_WORDS = { pass: 'both met', fail: 'not met', notShown: 'not shown', running: 'not shown', notStarted: 'not shown' } as const;

function Row({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>{children}</td>
    </tr>
  );
}

/** What an entry measured, in the words of its step; values of a step that is not there any more by their own names. */
function measured(
  inputs: readonly StepInput[],
  values: { [name: string]: number | string },
  pieces: Batch['record']['design']['pieces'],
  shown: Preferences,
): string {
  const labels = new Map(inputs.flatMap((input) => inputNames(input, pieces).map((name) => [name, input] as const)));
  return Object.entries(values)
    .map(([name, value]) => {
      const input = labels.get(name);
      const piece = name.includes(':') && pieces.length > 1 ? ` ${name.split(':')[1]}` : '';
      const word = nameHere(input?.label ?? name.split(':')[0] ?? '');
      if (typeof value === 'string')
        return `${word}${piece} ${input?.kind === 'choice' ? nameHere(input.options.find((one) => one.value === value)?.label ?? String(value)) : value}`.toLowerCase();
      return `${word}${piece} ${inWords(value, quantityOf(name), shown)}`;
    })
    .join(', ');
}

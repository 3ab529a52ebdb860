import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { entryTitle } from '../../reader/words/entryTitle';
import { quantityOf } from '../../acts/record/quantityOf';
import {
  bookLines,
  brineName,
  deviations,
  inputNames,
  lethalityTable,
  type BatchState,
  type LogEntry,
  ownReason,
  pieceReleases,
  type PlannedStepId,
  planSaid,
  RULE_SETS,
  sheetLines,
  STATION_NAMES,
  STATIONS,
  type StepInput,
} from '@bunkhouse/core';
import { Fragment } from 'react';
import type { Batch } from '../../data/batches';
import { useLots } from '../../data/lots';
import { pictureUrl, usePictures } from '../../data/pictures';
import { VesselsTable } from '../../kit/VesselsTable';
import { ColumnHeads } from '../../kit/ColumnHeads';
import { figureText } from '../../kit/Working';
import { bookCell, greyInWords } from '../../reader/words/bookWords';
import { ENDING_WORDS } from '../../reader/words/endingWords';
import { LOT_WORDS, lotName } from '../../reader/words/lotWords';
import { usePreferences, type Preferences } from '../../reader/preferences';
import { digits, inWords, fewDigits } from '../../reader/quantities';
import { cureName } from '../../reader/words/tradeWords';
import { readWithWords } from '../../reader/words/toolWords';
import { OneBatch } from './OneBatch';
import { Sheet } from './Sheet';
import { useBatchChannels } from '../../acts/pit/useBatchChannels';
import { useSay } from '../../reader/reader';
import { cureInWords } from '../../reader/words/tradeWords';
import { writtenTime } from '../../reader/times';
import { nameHere } from '../../reader/here';
import Box from '@mui/material/Box';
import { t } from '../../theme/tokens';

const styles = {
  recordFaces: {
    display: 'grid',
    gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
    gap: '12px',
    '& img': { display: 'block', width: '100%', height: 'auto', maxHeight: '320px', objectFit: 'contain', background: t.sunk },
  },
} as const;

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
        <Table size="small">
          <TableBody>
            <Row name="Recipe">
              {record.process.name}
              {record.process.recipe === undefined ? '' : `, version ${record.process.recipe.version}`}
            </Row>
            {record.origin !== undefined && <Row name="Cut from">{record.origin.code}</Row>}
            <Row name="Pieces">
              {record.design.pieces
                .filter(({ code }) => state.facts.keptGreenG[code] !== undefined)
                .map(({ code }) => `${record.code} ${code}, ${inWords(state.firstGreenG[code] ?? 0, 'mass', preferences)} green`)
                .join('; ')}
            </Row>
            <Row name="Started by">
              {record.createdBy}, {writtenTime(record.createdAt, WHEN)}
            </Row>
            <Row name="Cure">
              {record.design.nitritePpm === 0 ? 'none' : `${cureInWords(record.design.cure)}, ${fewDigits(record.design.cure.nitratePercent)} % nitrate`}
            </Row>
            <Row name="Nitrite, ingoing">
              {nitrite.of !== undefined && `${say(nitrite.of)}: `}
              {figureText(nitrite.applies, preferences)} {say(nitrite.applies.said.base)}, from {digits(nitrite.applies.low, 1)} to{' '}
              {digits(nitrite.applies.high, 1)}. {rules}: floor {nitrite.judgement.floor}, limit {nitrite.judgement.limit} ppm.{' '}
              {say(nitrite.applies.said.working)}
            </Row>
            <Row name="Ended">{state.endedAt === null ? 'not yet' : `${endedHow(state.ending)} ${writtenTime(state.endedAt, WHEN)}`}</Row>
          </TableBody>
        </Table>
      </section>
      <section>
        <h2>Brine, as {state.facts.brines.every(({ weighed }) => weighed) ? 'weighed' : 'planned'}</h2>
        <Table size="small">
          <ColumnHeads columns={[{ aloud: 'Brine' }, 'What is in it', 'Together']} />
          <TableBody>
            {state.facts.brines.map((brine) => (
              <TableRow key={brine.id}>
                <TableCell component="th" scope="row">
                  {brineName(brine.id, state.design.school)}
                </TableCell>
                <TableCell>
                  {sheetLines(brine, state.design)
                    .map(
                      ({ name, label, g, scale }) =>
                        `${name === 'cureG' ? cureName(label) : label} ${inWords(g, scale === 'cure' ? 'smallMass' : 'mass', preferences)}`,
                    )
                    .join(', ')}
                </TableCell>
                <TableCell>{inWords(brine.brineG, 'mass', preferences)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </section>
      {state.vessels.length > 0 && (
        <section>
          <h2>Tubs and bags</h2>
          <VesselsTable vessels={state.vessels} isRub={state.design.school.kind === 'dryRub'} />
        </section>
      )}
      {taken.length > 0 && (
        <section>
          <h2>Lots</h2>
          <Table size="small">
            <TableBody>
              {taken.map(({ id, draw }) => {
                const lot = lots.find((one) => one.id === draw.lot);
                return (
                  <TableRow key={id}>
                    <TableCell component="th" scope="row">
                      {LOT_WORDS[draw.of]}
                    </TableCell>
                    <TableCell>{lot === undefined ? draw.lot : `${lotName(lot)}${lot.supplier === '' ? '' : `, from ${lot.supplier}`}`}</TableCell>
                    <TableCell>{inWords(draw.g, draw.of === 'cure' ? 'smallMass' : 'mass', preferences)}</TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          </Table>
        </section>
      )}
      <section>
        <h2>Planned and measured</h2>
        <Table size="small">
          <ColumnHeads columns={[{ aloud: 'Of what' }, 'Planned', 'Measured']} />
          <TableBody>
            {STATIONS.map((station) => (
              <Fragment key={station}>
                {lines
                  .filter((line) => line.station === station && (line.actual !== null || line.planned !== null))
                  .map(({ key, said, unit, planned, actual }) => (
                    <TableRow key={key}>
                      <TableCell component="th" scope="row">
                        {STATION_NAMES[station]}: {say(said).toLowerCase()}
                      </TableCell>
                      <TableCell>{bookCell(planned, unit, preferences, say)}</TableCell>
                      <TableCell>{bookCell(actual, unit, preferences, say)}</TableCell>
                    </TableRow>
                  ))}
              </Fragment>
            ))}
          </TableBody>
        </Table>
      </section>
      <section>
        <h2>What each piece has shown</h2>
        <Table size="small">
          <ColumnHeads columns={['Piece', 'Cure in the middle', 'Heat', 'Chill gates']} />
          <TableBody>
            {released.map(({ piece, cooked, chilled }) => {
              const cure = state.cured.find(({ code }) => code === piece);
              return (
                <TableRow key={piece}>
                  <TableCell component="th" scope="row">
                    {piece}
                  </TableCell>
                  <TableCell>
                    {cure === undefined || cure.why === 'noCure'
                      ? 'no cure'
                      : `${cure.isCured ? 'cured' : 'not cured'}: ${digits(cure.leastPpm, 0)} ppm at the least, ${digits(cure.meanPpm.typical, 0)} as a mean, by the model after ${digits(cure.lainDays, 1)} days`}
                  </TableCell>
                  <TableCell>
                    {SHOWN_WORDS[cooked]}
                    {cooked === 'met' && `, ${say(lethalityTable(record.design.ruleSet, record.design.product).standsFor)}`}
                  </TableCell>
                  <TableCell>{CHILLED_WORDS[chilled]}</TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </section>
      <section>
        <h2>Deviations and corrections</h2>
        {odd.length === 0 ? (
          <p>None.</p>
        ) : (
          <Table size="small">
            <TableBody>
              {odd.map(({ entryId, at, by, said, reason }) => (
                <TableRow key={entryId}>
                  <TableCell>{writtenTime(at, WHEN)}</TableCell>
                  <TableCell component="th" scope="row">
                    {say(said)}
                  </TableCell>
                  <TableCell>{reason}</TableCell>
                  <TableCell>{by}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        )}
      </section>
      {pictures.length > 0 && (
        <section>
          <h2>Cut faces</h2>
          <Box sx={styles.recordFaces}>
            {pictures.map((picture) => (
              <figure key={picture.id}>
                <img src={pictureUrl(picture)} width={picture.width} height={picture.height} alt={`Piece ${picture.piece}`} />
                <figcaption>
                  Piece {picture.piece}, {writtenTime(picture.at, WHEN)}, {picture.by}
                  {picture.reading === null ? '' : `. ${greyInWords(picture.reading.shares)}, by the camera: an aid, no verdict`}
                </figcaption>
              </figure>
            ))}
          </Box>
        </section>
      )}
      <section className="may-break">
        <h2>The log, as it was written</h2>
        <Table size="small">
          <ColumnHeads columns={['Done', 'What', 'Measured', 'By', 'Written down']} />
          <TableBody>
            {record.entries.map((entry) => {
              const spec = 'stepId' in entry ? state.step(entry.stepId)?.spec : undefined;
              const why = ownReason(entry, state.steps);
              return (
                <TableRow key={entry.id}>
                  <TableCell>
                    {entry.about === true && 'about '}
                    {writtenTime(entry.at, 'D MMM HH:mm')}
                  </TableCell>
                  <TableCell>
                    {entryTitle(entry, (stepId) => state.step(stepId as PlannedStepId)?.spec.title, preferences, replacedBy(entry, record.entries))}
                    {why === undefined ? '' : `: ${why}`}
                  </TableCell>
                  <TableCell>
                    {entry.kind === 'replanned' ? say(planSaid(entry.changes, state.steps)) : ''}
                    {'values' in entry ? measured(spec?.inputs ?? [], entry.values, record.design.pieces, preferences) : ''}
                    {'read' in entry && entry.read !== undefined ? `. ${readWithWords(entry.read, preferences)}` : ''}
                  </TableCell>
                  <TableCell>{entry.by}</TableCell>
                  <TableCell>{writtenTime(entry.recordedAt, 'D MMM HH:mm')}</TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </section>
      <footer className="sheet-foot">
        <p>Computed figures are not legal advice. Your local food code, your inspector and the label of your cure decide.</p>
        <p className="sign-line">Checked by, date</p>
      </footer>
    </Sheet>
  );
}

/** What an entry corrects or takes back. */
const replacedBy = (entry: LogEntry, entries: readonly LogEntry[]): LogEntry | undefined =>
  'replaces' in entry ? entries.find(({ id }) => id === entry.replaces) : undefined;

const endedHow = (ending: BatchState['ending']): string => (ending === null || ending === 'packed' ? 'packed' : ENDING_WORDS[ending].toLowerCase());

const SHOWN_WORDS = { met: 'shown', notMet: 'not met', notShown: 'not shown' } as const;
const CHILLED_WORDS = { pass: 'both met', fail: 'not met', notShown: 'not shown', running: 'not shown', notStarted: 'not shown' } as const;

function Row({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        {name}
      </TableCell>
      <TableCell>{children}</TableCell>
    </TableRow>
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

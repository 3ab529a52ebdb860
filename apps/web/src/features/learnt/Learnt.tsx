import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { padded, paired } from '../../theme/surfaces';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import type { LearntAtTable, LearntResponse, LearntTaste } from '@bunkhouse/api';
import { atTableSaid, HANDBOOK_DIFFUSIVITY, LEARNT_FROM, PRODUCTS, tasteTarget } from '@bunkhouse/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../kit/Panel';
import { Title } from '../../kit/Title';
import { leaveOut, useLearnt } from '../../data/learnt';
import { Refusal } from '../../data/request';
import { Hero } from '../../kit/Hero';
import { GuideLink } from '../../kit/GuideLink';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { dayWithYear } from '../../reader/times';
import { ColumnHeads } from '../../kit/ColumnHeads';
import { PRODUCT_NAMES, VERDICT_WORDS } from '../../reader/words/tradeWords';
import { useSay } from '../../reader/reader';
import { Only } from '../../kit/Only';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  learnt: { display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: '10px', alignContent: 'start' },
  scrollX: { position: 'relative', overflowX: 'auto' },
  leftOut: {
    '& th, & td': { color: t.ink3, textDecoration: 'line-through' },
    '& td:last-child': { textDecoration: 'none' },
  },
} as const;

const TEN_BILLIONTHS = 1e10;
/** What the house has learnt from its own batches, from which of them, and the way to leave one out. */
export function Learnt() {
  const learnt = useLearnt();
  return (
    <Box sx={[looks.page, styles.learnt]}>
      <Box sx={looks.pageHead}>
        <Title>What the house has learnt</Title>
        <Box component="p" sx={looks.lead}>
          From cut faces, fry tests and what was said at table of its last batches. What is left out here counts for nothing; the log keeps it all the same.
        </Box>
      </Box>
      {learnt === undefined ? (
        <Typography variant="note">Reading the logs...</Typography>
      ) : (
        <>
          <Speed learnt={learnt} />
          <Taste learnt={learnt} />
          <AtTable said={learnt.atTable} />
        </>
      )}
    </Box>
  );
}

function Speed({ learnt: { diffusivity, cutFaces } }: { learnt: LearntResponse }) {
  const preferences = usePreferences();
  const { change, fault } = useLeaveOut();
  const length = (mm: number) => inWords(mm, 'length', preferences);
  const number = (m2s: number) => digits(m2s * TEN_BILLIONTHS, 2);
  return (
    <Panel
      title="How fast brine moves in its meat"
      aside={
        <>
          new batches are modelled with it; running ones keep theirs <GuideLink to="learnt" of="What the house has learnt" />
        </>
      }
      label="How fast brine moves in its meat"
    >
      <Box sx={padded}>
        <Box sx={paired}>
          <Hero
            label={`Diffusivity, at ${inWords(3, 'temperature', preferences, 0)}`}
            value={number(diffusivity.value)}
            unit="× 10⁻¹⁰ m²/s"
            doubt={`${number(diffusivity.low)} to ${number(diffusivity.high)}`}
          />
          <Hero
            label="Before anything was cut"
            value={number(HANDBOOK_DIFFUSIVITY.value)}
            unit="× 10⁻¹⁰ m²/s"
            doubt={`${number(HANDBOOK_DIFFUSIVITY.low)} to ${number(HANDBOOK_DIFFUSIVITY.high)}`}
          />
        </Box>
        <Typography variant="note">
          One piece in ten lies under the first bound, one in ten over the second. A face that is coloured to the middle says only that it is not slow. Pumped
          pieces say nothing here: the needle coloured them.
        </Typography>
        {fault !== null && <Typography variant="fault">{fault}</Typography>}
      </Box>
      {cutFaces.length === 0 ? (
        <Box component="p" sx={looks.empty}>
          No cut face is kept yet. Draw one when you pull a piece that was not pumped.
        </Box>
      ) : (
        <Box sx={styles.scrollX}>
          <Table sx={looks.book}>
            <ColumnHeads columns={['Batch', 'Pulled', { numbers: 'coloured' }, { numbers: 'of' }, { numbers: 'the model now' }, { aloud: 'Counts' }]} />
            <TableBody>
              {cutFaces.map((face) => (
                <TableRow key={face.id} sx={[face.leftOut && styles.leftOut]}>
                  <TableCell component="th" scope="row">
                    <Link to={`/batches/${face.batchId}`}>{face.code}</Link> {face.name}
                  </TableCell>
                  <TableCell>{dayWithYear(face.at)}</TableCell>
                  <TableCell align="right">{length(face.colouredMm)}</TableCell>
                  <TableCell align="right">{length(face.halfMm)}</TableCell>
                  <TableCell align="right">{length(face.expectedMm)}</TableCell>
                  <TableCell>
                    <LeaveOutButton what={face.code} leftOut={face.leftOut} onChange={(leftOut) => void change(face.id, leftOut)} />
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
    </Panel>
  );
}

function Taste({ learnt: { taste, tasted } }: { learnt: LearntResponse }) {
  const { change, fault } = useLeaveOut();
  const before = tasteTarget([]);
  return (
    <Panel title="How its cooks like their salt" aside="the soak is planned to it" label="How its cooks like their salt">
      <Box sx={padded}>
        <Box sx={paired}>
          <Hero label="Right at the edge" value={digits(taste.percent, 2)} unit="% salt" doubt={`± ${digits(taste.spread, 2)}`} />
          <Hero label="Before anything was tasted" value={digits(before.percent, 2)} unit="% salt" doubt={`± ${digits(before.spread, 2)}`} />
        </Box>
        <Typography variant="note">
          {taste.verdicts < LEARNT_FROM ? `From ${LEARNT_FROM} slices on it counts as learnt; there are ${taste.verdicts}.` : `From ${taste.verdicts} slices.`}{' '}
          The salt of each slice is the model’s: of the outermost meat where it was fried, of the whole section at table. What was said of it is the cook’s.
        </Typography>
        <ByWhom tasted={tasted} />
        {fault !== null && <Typography variant="fault">{fault}</Typography>}
      </Box>
      {tasted.length === 0 ? (
        <Box component="p" sx={looks.empty}>
          No fry test and no verdict at table is kept yet.
        </Box>
      ) : (
        <Box sx={styles.scrollX}>
          <Table sx={looks.book}>
            <ColumnHeads columns={['Batch', 'Tasted', 'by', { numbers: 'salt' }, 'said', { numbers: 'right would be' }, { aloud: 'Counts' }]} />
            <TableBody>
              {tasted.map((slice) => (
                <TableRow key={slice.id} sx={[slice.leftOut && styles.leftOut]}>
                  <TableCell component="th" scope="row">
                    <Link to={`/batches/${slice.batchId}`}>{slice.code}</Link> {slice.name}
                  </TableCell>
                  <TableCell>{dayWithYear(slice.at)}</TableCell>
                  <TableCell>{slice.by}</TableCell>
                  <TableCell align="right">{digits(slice.edgePercent, 2)} %</TableCell>
                  <TableCell>{VERDICT_WORDS[slice.verdict]}</TableCell>
                  <TableCell align="right">{digits(slice.impliedPercent, 2)} %</TableCell>
                  <TableCell>
                    <LeaveOutButton what={slice.code} leftOut={slice.leftOut} onChange={(leftOut) => void change(slice.id, leftOut)} />
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
    </Panel>
  );
}

/** The same target by each product and each cook that has said enough of it. */
function ByWhom({ tasted }: { tasted: readonly LearntTaste[] }) {
  const counted = tasted.filter(({ leftOut }) => !leftOut);
  const groups = [
    ...PRODUCTS.map((product) => ({ name: PRODUCT_NAMES[product], own: counted.filter((slice) => slice.product === product) })),
    ...[...new Set(counted.map(({ by }) => by))].map((by) => ({ name: by, own: counted.filter((slice) => slice.by === by) })),
  ].filter(({ own }) => own.length >= LEARNT_FROM);
  if (groups.length === 0) return null;
  return (
    <Typography variant="note">
      Of them alone:{' '}
      {groups.map(({ name, own }, i) => {
        const { percent, spread } = tasteTarget(own);
        return `${i === 0 ? '' : '; '}${name} ${digits(percent, 2)} ± ${digits(spread, 2)} % (${own.length})`;
      })}
      .
    </Typography>
  );
}

/** What to do next time, by whom and of what: the newest first. */
function AtTable({ said }: { said: readonly LearntAtTable[] }) {
  const say = useSay();
  return (
    <Panel title="Said at table" aside="the last of its kind stands where the next one is begun" label="Said at table">
      {said.length === 0 ? (
        <Box component="p" sx={looks.empty}>
          Nothing yet. Say on a batch’s page how it was, once it is eaten.
        </Box>
      ) : (
        <Box sx={styles.scrollX}>
          <Table sx={looks.book}>
            <ColumnHeads columns={['Batch', 'On', 'by', 'said']} />
            <TableBody>
              {said.map(({ id, batchId, code, name, pieces, at, by, verdict, nextTime }) => {
                const words = atTableSaid(verdict, nextTime);
                return (
                  <TableRow key={id}>
                    <TableCell component="th" scope="row">
                      <Link to={`/batches/${batchId}`}>{code}</Link> {name}
                      {pieces === undefined ? '' : `, ${pieces.join(', ')}`}
                    </TableCell>
                    <TableCell>{dayWithYear(at)}</TableCell>
                    <TableCell>{by}</TableCell>
                    <TableCell sx={{ whiteSpace: 'normal' }}>{words === null ? '–' : say(words)}</TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          </Table>
        </Box>
      )}
    </Panel>
  );
}

const LeaveOutButton = ({ what, leftOut, onChange }: { what: string; leftOut: boolean; onChange: (leftOut: boolean) => void }) => (
  <Only right="plan">
    <Button variant="text" onClick={() => onChange(!leftOut)} aria-label={leftOut ? `Count ${what} again` : `Leave ${what} out`}>
      {leftOut ? 'Left out: count it' : 'Leave it out'}
    </Button>
  </Only>
);

function useLeaveOut() {
  const { name } = usePreferences();
  const [fault, setFault] = useState<string | null>(null);
  const change = async (id: string, leftOut: boolean) => {
    setFault(null);
    try {
      await leaveOut({ id, leftOut, by: name });
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
    }
  };
  return { change, fault };
}

import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { unseen } from '../../theme/surfaces';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { requestOf, type LotResponse } from '@bunkhouse/api';
import { bookLines, borneLots, deviations, materialsCost, sideBySide, STATION_NAMES, STATIONS } from '@bunkhouse/core';
import { Fragment, useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Title } from '../../kit/Title';
import { useBatches, type Batch } from '../../data/batches';
import { useLots } from '../../data/lots';
import { pictureUrl, usePictures } from '../../data/pictures';
import { houseTime } from '../../data/serverClock';
import { bookCell, greyInWords, money } from '../../reader/words/bookWords';
import { Choice } from '../../kit/Choice';
import { Plate } from '../../kit/glyphs';
import { usePreferences } from '../../reader/preferences';
import { dayWithYear } from '../../reader/times';
import { newId } from '../../data/newId';
import { useSay } from '../../reader/reader';
import { looks, stationed } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed, worded } from '../../theme/type';

const styles = {
  sideBySide: {
    '& tbody tr': { cursor: 'default' },
    '& td, & thead th': { whiteSpace: 'normal', verticalAlign: 'top' },
    '& small': { display: 'block', color: t.ink3, font: worded(14, 18, 400) },
  },
  stationRow: { '& th': { background: t.sunk, font: signed(16, 20, 600) }, '& svg': { verticalAlign: '-4px' } },
  differs: {
    '&& td': { fontWeight: 600 },
    '& th::before': { content: '""', display: 'inline-block', width: '8px', height: '8px', marginRight: '8px', background: t.ink },
  },
  written: { '& p': { font: worded(15, 20, 400) } },
  smallFace: { '& img': { display: 'block', width: '100%', height: 'auto', maxHeight: '320px', objectFit: 'contain', background: t.sunk, maxWidth: '220px' } },
} as const;

/** Two or more batches side by side: what was different, and what came out. */
export function Compare() {
  const [asked] = useSearchParams();
  const text = asked.get('ids') ?? '';
  const ids = useMemo(
    () =>
      text
        .split(',')
        .filter((id) => /^[0-9a-f-]{36}$/.test(id))
        .slice(0, 5),
    [text],
  );
  const { batches, failed } = useBatches(ids);
  const preferences = usePreferences();
  const say = useSay();
  const navigate = useNavigate();
  const { data: lots = [] } = useLots();
  const [which, setWhich] = useState<'differs' | 'all'>('differs');
  const whole = batches.filter((batch): batch is Batch => batch !== undefined);
  const lines = useMemo(() => sideBySide(whole.map(({ record, state }) => bookLines(record, state))), [whole]);
  const again = ({ record, state }: Batch) =>
    void navigate('/new', {
      state: {
        request: {
          ...requestOf(state.design, { id: newId(), by: preferences.name, startsAt: new Date(houseTime()).toISOString() }, record.process),
        },
      },
    });
  if (ids.length < 2 || failed)
    return (
      <Box sx={looks.page}>
        <Title>Side by side</Title>
        <Box component="p" sx={looks.lead}>
          {failed ? 'One of these batches cannot be read just now.' : 'Tick two batches in the Ledger.'}
        </Box>
        <Button variant="text" component={Link} to="/ledger">
          To the Ledger
        </Button>
      </Box>
    );
  const shown = lines.filter(({ differs }) => which === 'all' || differs);
  return (
    <Box sx={looks.page}>
      <Box sx={looks.pageHead}>
        <div>
          <Title>{whole.map(({ record }) => record.code).join(' and ')}</Title>
          <Typography variant="note">{lines.filter(({ differs }) => differs).length} things differ. Planned stands small under what was measured.</Typography>
        </div>
        <Choice label="Show" quiet value={which} options={{ differs: 'What differs', all: 'Everything' }} onChange={setWhich} />
      </Box>
      <Box sx={[looks.panel, looks.tableScroll]} tabIndex={0} role="region" aria-label="Side by side">
        <Table sx={[looks.book, styles.sideBySide]}>
          <TableHead>
            <TableRow>
              <TableCell>
                <Box component="span" sx={unseen}>
                  What
                </Box>
              </TableCell>
              {whole.map(({ record, state }) => (
                <TableCell key={record.id}>
                  <Button variant="text" component={Link} to={`/batches/${record.id}`}>
                    {record.code}
                  </Button>
                  <small>{state.endedAt === null ? 'on the rail' : dayWithYear(new Date(state.endedAt).toISOString())}</small>
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {STATIONS.map((station) => {
              const own = shown.filter((line) => line.station === station);
              return own.length === 0 ? null : (
                <Fragment key={station}>
                  <TableRow sx={[styles.stationRow, stationed(station)]}>
                    <TableCell scope="rowgroup" colSpan={whole.length + 1}>
                      <Plate station={station} size={20} /> {STATION_NAMES[station]}
                    </TableCell>
                  </TableRow>
                  {own.map(({ key, said, unit, cells, differs }) => (
                    <TableRow key={key} sx={[differs && styles.differs]}>
                      <TableCell component="th" scope="row">
                        {say(said)}
                      </TableCell>
                      {cells.map(({ planned, actual }, i) => (
                        <TableCell key={whole[i]?.record.id}>
                          {actual === null && planned !== null ? (
                            <small>planned {bookCell(planned, unit, preferences, say)}</small>
                          ) : (
                            bookCell(actual, unit, preferences, say)
                          )}
                          {actual !== null && planned !== null && planned !== actual && <small>planned {bookCell(planned, unit, preferences, say)}</small>}
                        </TableCell>
                      ))}
                    </TableRow>
                  ))}
                </Fragment>
              );
            })}
            <TableRow>
              <TableCell component="th" scope="row">
                Materials, per kg packed
              </TableCell>
              {whole.map(({ record, state }) => (
                <TableCell key={record.id}>{materialsPerKg(state, lots)}</TableCell>
              ))}
            </TableRow>
            <TableRow>
              <TableCell component="th" scope="row">
                Cut face
              </TableCell>
              {whole.map(({ record }) => (
                <TableCell key={record.id}>
                  <Faces batchId={record.id} />
                </TableCell>
              ))}
            </TableRow>
            <TableRow>
              <TableCell component="th" scope="row">
                What was written
              </TableCell>
              {whole.map(({ record, state }) => (
                <TableCell key={record.id} sx={styles.written}>
                  {deviations(record, state).map((one) => (
                    <p key={one.entryId}>
                      <b>{say(one.said)}.</b> {one.reason}
                    </p>
                  ))}
                </TableCell>
              ))}
            </TableRow>
            <TableRow>
              <TableCell component="th" scope="row">
                Do it again
              </TableCell>
              {whole.map((batch) => (
                <TableCell key={batch.record.id}>
                  <Button onClick={() => again(batch)}>Like {batch.record.code}, with changes</Button>
                </TableCell>
              ))}
            </TableRow>
          </TableBody>
        </Table>
      </Box>
    </Box>
  );
}

function materialsPerKg(state: Batch['state'], lots: readonly LotResponse[]): string {
  const { packedG } = state.facts;
  const materials = materialsCost(borneLots(state), lots);
  return packedG === null || packedG <= 0 || materials === null ? '–' : money((materials.cost / packedG) * 1000);
}

/** The last pictures of a batch, small. */
function Faces({ batchId }: { batchId: string }) {
  const { data: pictures = [] } = usePictures(batchId);
  if (pictures.length === 0) return '–';
  return pictures.slice(-2).map((picture) => (
    <Box component="figure" key={picture.id} sx={styles.smallFace}>
      <img src={pictureUrl(picture)} width={picture.width} height={picture.height} alt={`Cut face of piece ${picture.piece}`} loading="lazy" />
      {picture.reading !== null && <figcaption>{greyInWords(picture.reading.shares)}</figcaption>}
    </Box>
  ));
}

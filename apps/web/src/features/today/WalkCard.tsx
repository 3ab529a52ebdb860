import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { RecordStep } from '../../acts/record/RecordStep';
import { writeEntry } from '../../data/batches';
import { newId } from '../../data/newId';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { Glyph, Plate } from '../../kit/glyphs';
import { useTellLogged } from '../../kit/JustLogged';
import { Only } from '../../kit/Only';
import { nameHere } from '../../reader/here';
import { usePreferences } from '../../reader/preferences';
import { fold } from '../../theme/folds';
import { looks, stationed } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';
import { BatchWords, jobStyles, When, type Job } from './job';

const styles = {
  each: {
    '& > li': {
      display: 'grid',
      gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 340px)',
      gap: '4px 20px',
      alignItems: 'center',
      padding: '8px 0',
      borderTop: `1px solid ${t.hair}`,
      [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
    },
    '& .MuiButton-sizeLarge.MuiButton-sizeLarge': { minHeight: '48px', font: signed(18, 22, 600), flex: '1 1 150px' },
  },
  whose: { display: 'flex', gap: '12px', alignItems: 'center', font: signed(16, 20, 500), '& b': { font: signed(18, 22, 600) } },
} as const;

/** What the house refused, each with its batch: the card is gone by then where one turn is left. */
type Refused = (faults: readonly string[]) => void;

/** Turns of several batches: who goes to the refrigerator for one turns them all, and says so once. */
export function WalkCard({ jobs, first, now, onRefused }: { jobs: readonly Job[]; first: boolean; now: number; onRefused: Refused }) {
  const late = jobs.find(({ step }) => step.urgency === 'overdue');
  return (
    <Box component="li" sx={[looks.panel, jobStyles.job, late !== undefined && jobStyles.overdue, stationed('cure')]}>
      <Box sx={jobStyles.head}>
        <Plate station="cure" size={28} />
        <div>
          <h2>Turn {jobs.length} batches</h2>
          <p>One walk to the refrigerator</p>
        </div>
      </Box>
      <Only right="record">
        <LogAll jobs={jobs} first={first} onRefused={onRefused} />
      </Only>
      <Box component="ul" aria-label="Batches to turn" sx={styles.each}>
        {jobs.map(({ batch, step }) => (
          <li key={batch.record.id}>
            <Box sx={styles.whose}>
              <div>
                <b>{nameHere(step.spec.title)}</b>
                <p>
                  <Button variant="text" component={Link} to={`/batches/${batch.record.id}`}>
                    {batch.record.code}
                  </Button>{' '}
                  <BatchWords batch={batch} />
                </p>
              </div>
              <When step={step} now={now} />
            </Box>
            <RecordStep batch={batch} step={step} first={false} folded />
          </li>
        ))}
      </Box>
    </Box>
  );
}

/** One press writes the turn of each. What the house refuses is told with its batch; the others stand. */
function LogAll({ jobs, first, onRefused }: { jobs: readonly Job[]; first: boolean; onRefused: Refused }) {
  const { name } = usePreferences();
  const tellLogged = useTellLogged();
  const [busy, setBusy] = useState(false);
  const logAll = async () => {
    if (busy) return;
    setBusy(true);
    const at = new Date(houseTime()).toISOString();
    const logged: { batchId: string; entryId: string; code: string }[] = [];
    const refused: string[] = [];
    for (const { batch, step } of jobs) {
      const { id: batchId, code, entries } = batch.record;
      const entryId = newId();
      try {
        await writeEntry(batchId, { id: entryId, kind: 'done', stepId: step.spec.id, values: {}, at, by: name, seen: entries.length });
        logged.push({ batchId, entryId, code });
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        refused.push(`${code}: ${error.message}`);
      }
    }
    onRefused(refused);
    if (logged.length > 0) tellLogged({ entries: logged, what: `Turned: ${logged.map(({ code }) => code).join(', ')};`, at });
    setBusy(false);
  };
  return (
    <Button size="large" variant={first ? 'contained' : 'outlined'} aria-disabled={busy} onClick={() => void logAll()}>
      <Glyph name="turn" />
      {busy ? 'Logging...' : `Log all ${jobs.length} turns`}
    </Button>
  );
}

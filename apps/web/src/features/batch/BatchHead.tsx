import Box from '@mui/material/Box';
import { ENDING_WORDS } from '../../reader/words/endingWords';
import Button from '@mui/material/Button';
import { DAY_MS, STATION_NAMES, type Process } from '@bunkhouse/core';
import { Link } from 'react-router';
import { benchOfBatch, benchSchool } from '../../acts/benchAddress';
import type { Batch } from '../../data/batches';
import { Plate } from '../../kit/glyphs';
import { Title } from '../../kit/Title';
import { nameHere } from '../../reader/here';
import { usePreferences } from '../../reader/preferences';
import { digits, fewDigits, tagWeight } from '../../reader/quantities';
import { dayAndTime } from '../../reader/times';
import { SCHOOL_WORDS } from '../../reader/words/tradeWords';
import { fold } from '../../theme/folds';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  batchHead: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '8px 28px',
    alignItems: 'center',
    minHeight: '52px',
    '& p': { font: signed(17, 20, 500), color: t.ink2 },
  },
  benchLink: { order: 9, marginLeft: 'auto' },
  batchStation: {
    display: 'flex',
    gap: '12px',
    alignItems: 'center',
    paddingLeft: '28px',
    borderLeft: `1px solid ${t.hair2}`,
    '& b': { display: 'block', font: signed(20, 22, 600) },
    '& > div > span': { font: signed(16, 20, 500), color: t.ink2 },
    [fold.phone]: { paddingLeft: 0, border: 0 },
  },
} as const;

/** Stations at which the pit has something to show, or to be set. */
const PIT_STATIONS: readonly string[] = ['dry', 'smoke', 'cook', 'chill'];

/** The recipe by its name, with the version that this batch keeps. */
function RecipeOf({ process: { name, recipe } }: { process: Process }) {
  if (recipe === undefined) return name;
  return (
    <Button variant="text" component={Link} to={`/recipes/${recipe.id}`}>
      {name}, version {recipe.version}
    </Button>
  );
}

/** What it is, where it hangs, and what is next: the head of its page. */
export function BatchHead({ batch: { record, state }, now }: { batch: Batch; now: number }) {
  const preferences = usePreferences();
  const green = Object.values(state.facts.keptGreenG).reduce((a, b) => a + b, 0);
  const { station, next, ending, endedAt } = state;
  return (
    <Box role="group" aria-label="The batch" sx={styles.batchHead}>
      <div>
        <Title>{record.code}</Title>
        <p>
          <RecipeOf process={record.process} />, {tagWeight(green, preferences)} green, {SCHOOL_WORDS[benchSchool(state.design)][0].toLowerCase()}
        </p>
      </div>
      {state.station !== null && PIT_STATIONS.includes(state.station) && (
        <Button variant="text" sx={styles.benchLink} component={Link} to={`/pit/${record.id}`}>
          At the pit
        </Button>
      )}
      <Button variant="text" sx={styles.benchLink} component={Link} to={benchOfBatch({ id: record.id, code: record.code, design: state.design })}>
        Its sheet on the Bench
      </Button>
      {station !== null && next !== null ? (
        <Box sx={styles.batchStation}>
          <Plate station={station} size={28} />
          <div>
            <b>
              {STATION_NAMES[station]}
              {station === 'cure' && cureDay(state, state.design.cureDays, now)}
            </b>
            <span>
              {nameHere(next.spec.title)} {dayAndTime(next.dueAt, now)}
            </span>
          </div>
        </Box>
      ) : (
        <Box sx={styles.batchStation}>
          <div>
            <b>{ending === null || ending === 'packed' ? 'Packed' : ENDING_WORDS[ending]}</b>
            <span>{endedAt === null ? '' : dayAndTime(endedAt, now)}</span>
          </div>
        </Box>
      )}
    </Box>
  );
}

function cureDay(state: Batch['state'], days: number, now: number): string {
  const meatInAt = state.closedAt('meat-in');
  return meatInAt === null ? '' : `, day ${digits((now - meatInAt) / DAY_MS, 1)} of ${fewDigits(days, 1)}`;
}

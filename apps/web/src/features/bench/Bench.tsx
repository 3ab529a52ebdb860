import Typography from '@mui/material/Typography';
import ButtonBase from '@mui/material/ButtonBase';
import Button from '@mui/material/Button';
import { ENGLISH, PASTED_WORDS, SHEET_WORDS, workOut } from '@bunkhouse/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Title } from '../../kit/Title';
import { houseTime } from '../../data/serverClock';
import { Choice } from '../../kit/Choice';
import { Glyph } from '../../kit/glyphs';
import { usePreferences } from '../../reader/preferences';
import { digits } from '../../reader/quantities';
import { Sentences, useSay } from '../../reader/reader';
import { Answer } from './Answer';
import { HaveForm } from './HaveForm';
import { sheetText, sheetTitle } from './sheetText';
import { toBatch } from './toBatch';
import { Sheet, useSheet } from './useSheet';
import { WantForm } from './WantForm';
import { newId } from '../../data/newId';
import { copyText } from '../../kit/copyText';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  printed: { display: 'none', [fold.paper]: { display: 'block', margin: '0 0 3mm' } },
  bench: {
    display: 'grid',
    gridTemplateColumns: 'minmax(330px, 400px) minmax(0, 1fr)',
    gap: '12px',
    alignItems: 'start',
    [fold.tablet]: { gridTemplateColumns: 'minmax(0, 1fr)' },
    [fold.paper]: {
      display: 'block !important',
      height: 'auto !important',
      overflow: 'visible !important',
      '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { display: 'none !important' },
    },
  },
  benchHead: {
    gridColumn: '1 / -1',
    display: 'flex',
    flexWrap: 'wrap',
    gap: '8px 24px',
    alignItems: 'center',
    minHeight: '56px',
    '& > :is(.MuiStack-root, .MuiFormControl-root)': { flex: 'none' },
    [fold.paper]: { '& :is(.MuiStack-root, .MuiFormControl-root)': { display: 'none !important' } },
  },
  benchForm: {
    display: 'grid',
    gap: '10px',
    minWidth: 0,
    [fold.laptop]: { position: 'sticky', top: '12px', maxHeight: 'calc(100dvh - var(--rail-h) - 24px)', overflowY: 'auto', scrollbarWidth: 'thin' },
    [fold.paper]: { display: 'none !important' },
  },
  benchAnswer: {
    display: 'grid',
    gap: '10px',
    minWidth: 0,
    '& > .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { justifySelf: 'start' },
    [fold.tablet]: { scrollMarginTop: '8px' },
    [fold.paper]: { display: 'block !important', height: 'auto !important', overflow: 'visible !important' },
  },
  benchPeek: {
    [fold.laptop]: { display: 'none' },
    [fold.tablet]: {
      position: 'sticky',
      bottom: 0,
      zIndex: 2,
      display: 'flex',
      justifyContent: 'flex-start',
      width: '100%',
      alignItems: 'baseline',
      gap: '10px',
      minHeight: '52px',
      padding: '10px 14px',
      background: t.panel,
      border: `1.5px solid ${t.ink}`,
      borderRadius: '3px',
      font: signed(17, 24, 500),
    },
    [fold.paper]: { display: 'none !important' },
  },
  benchPeekStop: { [fold.tablet]: { border: `3px solid ${t.danger.main}` } },
  num: { [fold.tablet]: { fontSize: '26px', color: t.nitrite.ink } },
  benchAct: {
    marginLeft: 'auto',
    display: 'grid',
    justifyItems: 'end',
    gap: '4px',
    '& .MuiTypography-note:empty': { display: 'none' },
    [fold.phone]: { width: '100%', justifyItems: 'stretch' },
  },
  benchButtons: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '10px',
    justifyContent: 'flex-end',
    [fold.phone]: { width: '100%', justifyItems: 'stretch', '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { flex: '1 1 140px' } },
    [fold.paper]: { display: 'none !important' },
  },
} as const;

const QUARTER_MS = 900_000;
/** What is said of somebody's recipe is said here alone. */
const SENTENCES = { ...ENGLISH, ...PASTED_WORDS, ...SHEET_WORDS };

/** The calculator beside the tub: what is wanted, or what somebody else wrote, worked out at every key. */
export function Bench() {
  const preferences = usePreferences();
  const [sheet, change] = useSheet();
  const [params] = useSearchParams();
  const shown = useDeferredValue(sheet);
  const worked = useMemo(() => workOut(shown), [shown]);
  const fault = 'fault' in worked.recipe ? worked.recipe.fault : null;
  const context = useMemo(() => ({ sheet, change, fault }), [sheet, change, fault]);
  const batch = params.get('batch');
  return (
    <Sentences value={SENTENCES}>
      <Sheet value={context}>
        <Box sx={[looks.page, styles.bench]}>
          <Box sx={styles.benchHead}>
            <div>
              <Title>Bench</Title>
              {batch === null ? (
                <Typography variant="note">A loose sheet, kept in the address.</Typography>
              ) : (
                <Button variant="text" component={Link} to={`/batches/${encodeURIComponent(batch)}`}>
                  Back to {params.get('code') ?? 'the batch'}
                </Button>
              )}
            </div>
            <Choice
              quiet
              label="What stands on the sheet"
              value={sheet.door}
              options={{ want: 'What I want', have: 'What I have' }}
              onChange={(door) => change({ door })}
            />
            <SheetActions worked={worked} sheet={shown} />
          </Box>
          <Box sx={styles.benchForm}>{sheet.door === 'want' || worked.read === null ? <WantForm /> : <HaveForm read={worked.read} />}</Box>
          <Box component="p" sx={[looks.head, styles.printed]}>
            {sheetTitle(shown, preferences)}
          </Box>
          <Peek worked={worked} />
          <Box sx={styles.benchAnswer} id="answer">
            <Answer sheet={shown} worked={worked} change={change} />
            <Typography variant="note" sx={looks.cautionLine}>
              Nitrite is poisonous in gram amounts: weigh it, label it, lock it away. This tool computes; your local food code, your inspector and the label of
              your cure decide.
            </Typography>
          </Box>
        </Box>
      </Sheet>
    </Sentences>
  );
}

/** On a narrow screen the answer lies below the form: its one number stays in sight. */
function Peek({ worked }: { worked: ReturnType<typeof workOut> }) {
  if ('fault' in worked.recipe) return null;
  const { nitrite, findings } = worked.recipe.value.audit;
  const { applies, judgement } = nitrite;
  const stop = findings.some((finding) => finding.level === 'stop');
  const show = () => document.getElementById('answer')?.scrollIntoView();
  return (
    <ButtonBase sx={[styles.benchPeek, stop && styles.benchPeekStop]} onClick={show}>
      <Box component="b" sx={[looks.num, styles.num]}>
        {worked.asking > 0 ? `${digits(applies.low, 0)} to ${digits(applies.high, 0)}` : digits(applies.value, 1)} ppm
      </Box>
      <span>{worked.asking > 0 ? 'questions are open' : stop ? 'Stop: read why' : PEEK_WORDS[judgement.verdict]}</span>
    </ButtonBase>
  );
}

const PEEK_WORDS = { ok: 'between floor and limit', over: 'over the limit', under: 'under the floor' } as const;

/** Print, copy, and the one filled button: start a batch with it. */
function SheetActions({ sheet, worked }: { sheet: Parameters<typeof toBatch>[0]; worked: ReturnType<typeof workOut> }) {
  const preferences = usePreferences();
  const { name } = preferences;
  const say = useSay();
  const navigate = useNavigate();
  const [said, setSaid] = useState('');
  const recipe = 'value' in worked.recipe ? worked.recipe.value : null;
  const batch = toBatch(sheet, worked, { id: '', by: name, startsAt: '' });
  const start = () => {
    const asked = { id: newId(), by: name, startsAt: new Date(Math.ceil(houseTime() / QUARTER_MS) * QUARTER_MS).toISOString() };
    const made = toBatch(sheet, worked, asked);
    if ('request' in made) void navigate('/new', { state: { request: made.request } });
  };
  const copy = async () => {
    if (recipe === null) return;
    const went = await copyText(sheetText(sheet, recipe, preferences, say));
    setSaid(went ? 'Copied.' : 'This browser does not let it be copied. Print it instead.');
  };
  return (
    <Box sx={styles.benchAct}>
      <Box sx={styles.benchButtons}>
        <Button disabled={recipe === null} onClick={() => void copy()}>
          Copy the sheet
        </Button>
        <Button disabled={recipe === null} onClick={() => window.print()}>
          Print
        </Button>
        <Button variant="contained" disabled={'reason' in batch} onClick={start}>
          <Glyph name="start" />
          Start a batch
        </Button>
      </Box>
      <Typography variant="note" role="status">
        {said !== '' ? said : 'reason' in batch ? batch.reason : ''}
      </Typography>
    </Box>
  );
}

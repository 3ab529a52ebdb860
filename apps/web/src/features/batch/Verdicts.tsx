import {
  COLOURED_AT_PPM,
  takenBack,
  type TakenBack,
  type ChillPiece,
  type PieceCure,
  type PieceWatch,
  type GatePassage,
  MINUTE_MS,
  HOUR_S,
} from '@bunkhouse/core';
import Box from '@mui/material/Box';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { useMemo, type ReactNode } from 'react';
import { Panel } from '../../kit/Panel';
import type { Batch } from '../../data/batches';
import { Glyph } from '../../kit/glyphs';
import { usePitWatch } from '../../acts/pit/usePitWatch';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { dayAndTime, span } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { sayHere } from '../../reader/here';
import { looks } from '../../theme/looks';

type Verdict = 'met' | 'notMet' | 'notShown' | 'coming' | 'takenBack';

const WORDS: Readonly<Record<Verdict, string>> = { met: 'Met', notMet: 'Not met', notShown: 'Not shown', coming: 'To come', takenBack: 'Taken back' };
const INKS: Readonly<Record<Verdict, string>> = {
  met: 'var(--bh-palette-ink)',
  notMet: 'var(--bh-palette-danger-ink)',
  notShown: 'var(--bh-palette-ink2)',
  coming: 'var(--bh-palette-ink3)',
  takenBack: 'var(--bh-palette-danger-ink)',
};

/** What each piece has shown of cure, heat and cold, by its own readings: met, not met, or not shown. */
export function Verdicts({ batch }: { batch: Batch }) {
  const { state } = batch;
  const { watch, chill, channels, at } = usePitWatch(batch);
  const minute = Math.floor(at / MINUTE_MS) * MINUTE_MS;
  const back = useMemo(() => takenBack(batch.record, channels, minute), [batch.record, channels, minute]);
  return (
    <Panel title="What each piece has shown" aside="what nobody read is not shown" label="What each piece has shown">
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 260px), 1fr))', gap: '12px', p: '12px' }}>
        {state.pieces.map(({ code, greenG }) => (
          <PieceVerdict
            key={code}
            code={code}
            greenG={greenG}
            cure={state.cured.find((piece) => piece.code === code)}
            cook={watch?.pieces.find(({ piece }) => piece === code)}
            chill={chill?.pieces.find(({ piece }) => piece === code)}
            isOff={watch?.log.offAt != null}
            back={back.filter(({ piece }) => piece === code)}
          />
        ))}
      </Box>
    </Panel>
  );
}

interface Said {
  of: TakenBack['of'];
  label: string;
  verdict: Verdict;
  value: string;
  unit: string;
  fact: string;
  /** the figure that stood, where it was taken back */
  before?: string;
}

function PieceVerdict({
  code,
  greenG,
  cure,
  cook,
  chill,
  isOff,
  back,
}: {
  code: string;
  greenG: number;
  cure: PieceCure | undefined;
  cook: PieceWatch | undefined;
  chill: ChillPiece | undefined;
  isOff: boolean;
  back: readonly TakenBack[];
}) {
  const preferences = usePreferences();
  const C = (value: number) => inWords(value, 'temperature', preferences, 0);
  const now = useNow();
  const rows = [reachSaid(cure), heatSaid(cook, isOff), ...coldSaid(chill, C)].map((row) => withdrawn(row, back, now));
  const worst = (['takenBack', 'notMet', 'notShown', 'coming', 'met'] as const).find((verdict) => rows.some((row) => row.verdict === verdict)) ?? 'coming';
  return (
    <Paper
      role="group"
      aria-label={`Piece ${code}: ${WORDS[worst]}`}
      sx={{
        borderTop: '6px solid',
        borderTopColor:
          worst === 'met' ? 'var(--bh-palette-ink)' : worst === 'notMet' || worst === 'takenBack' ? 'var(--bh-palette-danger-main)' : 'var(--bh-palette-line)',
        borderTopStyle: worst === 'notShown' || worst === 'coming' ? 'dashed' : 'solid',
      }}
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'auto 1fr auto',
          alignItems: 'center',
          gap: '10px',
          p: '8px 12px',
          borderBottom: '1px solid var(--bh-palette-hair)',
          // The loudest: what was believed is not so.
          ...(worst === 'takenBack' ? { bgcolor: 'var(--bh-palette-danger-main)', color: 'var(--bh-palette-danger-on)' } : {}),
        }}
      >
        <Typography component="b" sx={{ font: '600 32px/32px var(--f-sign)' }}>
          {code}
        </Typography>
        <Typography component="span" sx={{ font: '500 16px/20px var(--f-sign)', color: worst === 'takenBack' ? 'inherit' : 'var(--bh-palette-ink2)' }}>
          {inWords(greenG, 'mass', preferences)} green
        </Typography>
        <VerdictMark verdict={worst} size={20} isLoud={worst === 'takenBack'} />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 190px), 1fr))' }}>
        {rows.map((row) => (
          <VerdictRow key={row.label} {...row} />
        ))}
      </Box>
    </Paper>
  );
}

function VerdictRow({ label, verdict, value, unit, fact, before }: Said) {
  return (
    <Box sx={{ p: '9px 12px 10px', boxShadow: '0 0 0 0.5px var(--bh-palette-hair)' }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: '8px' }}>
        <Typography variant="label">{label}</Typography>
        <VerdictMark verdict={verdict} size={16} />
      </Box>
      <Box sx={looks.hero}>
        {before !== undefined && (
          <Box component="s" aria-label={`It stood as ${before}`} sx={{ color: 'var(--bh-palette-danger-ink)', mr: '8px' }}>
            {before}
          </Box>
        )}
        <Box component="span" sx={looks.num}>
          {value}
        </Box>
        <Box component="span" sx={looks.unit}>
          {unit}
        </Box>
      </Box>
      <Typography sx={{ font: '400 14px/18px var(--f-text)', color: 'var(--bh-palette-ink2)' }}>{fact}</Typography>
    </Box>
  );
}

/** The word and its own shape: never a colour alone. */
function VerdictMark({ verdict, size, isLoud = false }: { verdict: Verdict; size: number; isLoud?: boolean }) {
  return (
    <Box
      component="span"
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        gap: '6px',
        whiteSpace: 'nowrap',
        font: '600 16px/18px var(--f-sign)',
        color: isLoud ? 'inherit' : INKS[verdict],
      }}
    >
      {SHAPES[verdict](size)}
      {WORDS[verdict]}
    </Box>
  );
}

const SHAPES: Readonly<Record<Verdict, (size: number) => ReactNode>> = {
  met: (size) => (
    <svg viewBox="0 0 24 24" width={size} height={size} aria-hidden="true">
      <rect x={3} y={3} width={18} height={18} fill="currentColor" />
    </svg>
  ),
  notMet: (size) => <Glyph name="danger" size={size} />,
  notShown: (size) => (
    <svg viewBox="0 0 24 24" width={size} height={size} aria-hidden="true">
      <rect x={3} y={3} width={18} height={18} fill="none" stroke="currentColor" strokeWidth={2.2} strokeDasharray="4 3.2" />
      <line x1={8} x2={16} y1={12} y2={12} stroke="currentColor" strokeWidth={2.6} />
    </svg>
  ),
  takenBack: (size) => <Glyph name="takenBack" size={size} />,
  coming: (size) => (
    <svg viewBox="0 0 24 24" width={size} height={size} aria-hidden="true">
      <rect x={3} y={3} width={18} height={18} fill="none" stroke="currentColor" strokeWidth={2.2} />
    </svg>
  ),
};

/** What was met and is not any more: with the figure that stood, and what took it back. */
function withdrawn(row: Said, back: readonly TakenBack[], now: number): Said {
  const taken = back.find(({ of }) => of === row.of);
  if (taken === undefined || row.verdict === 'met') return row;
  const { before, entry, at } = taken;
  const stood =
    row.of === 'heat'
      ? digits(Math.floor(Math.min(9.99, before) * 100) / 100, 2)
      : row.of === 'reach'
        ? digits(before, before < 10 ? 1 : 0)
        : span(before * 1000);
  const by = entry === null ? 'by what its probe read since' : `${BY_KIND[entry.kind] ?? 'by an entry'} of ${entry.by}, ${dayAndTime(at, now)}`;
  return { ...row, verdict: 'takenBack', before: stood, fact: `Taken back ${by}. ${row.fact}` };
}

const BY_KIND: Readonly<Partial<Record<NonNullable<TakenBack['entry']>['kind'], string>>> = {
  correction: 'by a correction',
  withdrawn: 'by an entry that was taken out,',
  done: 'by a later reading',
  pit: 'by a later reading',
};

function reachSaid(cure: PieceCure | undefined): Said {
  const label = 'Reach in the middle';
  if (cure === undefined || cure.why === 'noCure')
    return { of: 'reach', label, verdict: 'notMet', value: '–', unit: 'no cure', fact: 'Salted meat: it does not count as cured.' };
  const fact = `By the model after ${digits(cure.lainDays, 1)} days; ${digits(cure.meanPpm.typical, 0)} ppm as a mean.${
    cure.isPale ? ' If the meat is slow, the middle is pale.' : ''
  }${cure.why === 'dose' ? ' The dose is under what counts as cured.' : ''}`;
  return {
    of: 'reach',
    label,
    verdict: cure.isCured ? 'met' : 'notMet',
    value: digits(cure.leastPpm, cure.leastPpm < 10 ? 1 : 0),
    unit: `ppm, ${COLOURED_AT_PPM} wanted`,
    fact,
  };
}

function heatSaid(cook: PieceWatch | undefined, isOff: boolean): Said {
  const label = 'Heat';
  if (cook === undefined) return { of: 'heat', label, verdict: 'coming', value: '–', unit: 'not on the fire yet', fact: '' };
  const { lethality, counted, notCounted } = cook;
  const read = counted.filter(({ s }) => s > 0).length;
  const stray = notCounted.length === 0 ? 'all counted' : `${notCounted.length} not counted: no core moves so`;
  const fact =
    read === 0 && lethality.reachedAtS !== null
      ? 'By the water of its bath, as it was read: its core was not.'
      : read === 0
        ? 'Nobody read its core while it was hot. What another piece showed does not count for it.'
        : `${read + notCounted.length === 1 ? '1 reading' : `${read + notCounted.length} readings`}, ${stray}.`;
  // Sealed in a bath it is done by its water: nobody has to prick it.
  if (read === 0 && lethality.reachedAtS === null) return { of: 'heat', label, verdict: isOff ? 'notShown' : 'coming', value: '–', unit: 'not read', fact };
  const sum = Math.floor(Math.min(9.99, lethality.sum) * 100) / 100;
  return {
    of: 'heat',
    label,
    verdict: lethality.reachedAtS !== null ? 'met' : isOff ? 'notShown' : 'coming',
    value: digits(sum, 2),
    unit: `of 1, for ${sayHere(cook.table.standsFor)}`,
    fact,
  };
}

const GATE_VERDICTS: Readonly<Record<GatePassage['state'], Verdict>> = {
  pass: 'met',
  fail: 'notMet',
  notShown: 'notShown',
  running: 'coming',
  notStarted: 'coming',
};

function coldSaid(chill: ChillPiece | undefined, C: (value: number) => string): Said[] {
  if (chill === undefined) return [{ of: 'gate-1', label: 'Chill', verdict: 'coming', value: '–', unit: 'not off the fire yet', fact: '' }];
  const n = chill.readings.length;
  return chill.gates.map(({ from, to, limitS, tookS, leastS, mostS, state }, i): Said => {
    const unit = `${digits(limitS / HOUR_S, limitS % HOUR_S === 0 ? 0 : 1)} h at most`;
    const value = tookS !== null ? span(tookS * 1000) : state === 'fail' ? `over ${span(leastS * 1000)}` : '–';
    const between = mostS === null ? 'its beginning or its end was not read' : `it took ${span(leastS * 1000)} to ${span(mostS * 1000)}`;
    return {
      of: i === 0 ? 'gate-1' : 'gate-2',
      label: `Chill, ${C(from)} to ${C(to)}`,
      verdict: GATE_VERDICTS[state],
      value,
      unit,
      fact: state === 'notShown' ? `By ${n} ${n === 1 ? 'reading' : 'readings'} ${between}.` : `${n} ${n === 1 ? 'reading' : 'readings'} of this piece.`,
    };
  });
}

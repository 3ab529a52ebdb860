import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { clashKey, type Clash, type HousePlan, type PlanVariant, type Proposal, type Schedule } from '@bunkhouse/core';
import { useState, type ReactNode } from 'react';
import { Strip } from '../../kit/Strip';
import type { Row } from './bands';
import { changesOf } from './changesOf';
import type { PlanMoves } from './usePlanMoves';
import type { Ghost } from './WeeksPicture';
import { clashWords, proposalWords } from '../../reader/words/clashWords';
import { usePreferences } from '../../reader/preferences';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

const styles = {
  clashes: { display: 'grid', gap: '8px', '& > .MuiButton-text': { justifySelf: 'start' } },
  proposal: { display: 'flex', flexWrap: 'wrap', gap: '6px 10px', alignItems: 'center', marginTop: '6px', '& > .MuiTypography-note': { flex: '1 1 320px' } },
} as const;

/** So many are shown before the rest is asked for. */
const SHOWN = 2;
/** Gravest first; of one kind, the soonest first. */
const GRAVITY: readonly Clash['kind'][] = ['impossible', 'late', 'closed', 'full', 'programs', 'hands', 'night'];

interface ClashesProps {
  look: Schedule;
  rows: readonly Row[];
  plan: HousePlan;
  /** other ways to make a batch, by its id */
  variants: Readonly<Record<string, PlanVariant[]>>;
  moves: PlanMoves;
  shown: Ghost[] | null;
  onShow: (ghosts: Ghost[] | null) => void;
}

/** What the plans run into, the gravest first, and for each what would help. Nights are told together. */
export function Clashes(props: ClashesProps) {
  const { look, rows, plan } = props;
  const [all, setAll] = useState(false);
  const preferences = usePreferences();
  const codeOf = (id: string) => rows.find((row) => row.id === id)?.code ?? id;
  const nights = look.clashes.filter((clash) => clash.kind === 'night');
  const grave = look.clashes.filter((clash) => clash.kind !== 'night').sort((a, b) => GRAVITY.indexOf(a.kind) - GRAVITY.indexOf(b.kind));
  const shown = all ? grave : grave.slice(0, SHOWN);
  return (
    <Box component="section" sx={styles.clashes} aria-label="Clashes">
      {grave.length === 0 && (
        <Typography variant="note">Nothing is overfull, nothing too late{nights.length === 0 ? ', no job outside working hours' : ''}.</Typography>
      )}
      {shown.map((clash, i) => (
        <ClashStrip key={`${clash.kind}${i}`} clash={clash} {...clashWords(clash, codeOf, plan.resources, preferences)} {...props} />
      ))}
      {grave.length > SHOWN && (
        <Button variant="text" onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : grave.length - SHOWN === 1 ? 'One more clash' : `${grave.length - SHOWN} more clashes`}
        </Button>
      )}
      {nights.length > 0 && (
        <Typography variant="note">
          {nights.length === 1 ? 'One job lies' : `${nights.length} jobs lie`} outside working hours:{' '}
          {[...new Set(nights.map((clash) => codeOf(clash.batch)))].join(', ')}.
        </Typography>
      )}
    </Box>
  );
}

function ClashStrip({ clash, title, text, ...props }: ClashesProps & { clash: Clash; title: string; text: string }) {
  const [others, setOthers] = useState(false);
  const proposals = props.look.proposals.filter((proposal) => proposal.gone.includes(clashKey(clash)));
  const listed = others ? proposals : proposals.slice(0, 1);
  return (
    <Strip level="caution" role="group" aria-label={title} word={title} sx={{ flexWrap: 'wrap', gap: '0 12px', '& .MuiAlert-message': { flex: '1 1 420px' } }}>
      <p>{text}</p>
      {proposals.length === 0 && clash.kind !== 'impossible' && clash.kind !== 'late' && (
        <Typography variant="note">No other place for one batch alone would help. Mend the plan, move meat, or split it.</Typography>
      )}
      {listed.map((proposal, i) => (
        <ProposalLine key={`${proposal.batch}${proposal.kind}${proposal.variant ?? ''}`} proposal={proposal} {...props}>
          {i === 0 && proposals.length > 1 && (
            <Button variant="text" aria-expanded={others} onClick={() => setOthers(!others)}>
              {others ? 'The first way only' : proposals.length === 2 ? 'One other way' : `${proposals.length - 1} other ways`}
            </Button>
          )}
        </ProposalLine>
      ))}
    </Strip>
  );
}

function ProposalLine({
  proposal,
  rows,
  plan,
  variants,
  moves,
  shown,
  onShow,
  children,
}: Omit<ClashesProps, 'look'> & { proposal: Proposal; children: ReactNode }) {
  const row = rows.find(({ id }) => id === proposal.batch);
  if (row === undefined) return null;
  const variant = variants[proposal.batch]?.find(({ name }) => name === proposal.variant);
  const { title, price } = proposalWords(proposal, row.code, plan.resources, variant?.changes, row.batch.state.design.cureDays);
  const ghosts = proposal.moves.map(({ batch, at }) => ({ batch, at: Date.parse(at) }));
  const isShown = JSON.stringify(shown) === JSON.stringify(ghosts);
  return (
    <Box sx={styles.proposal}>
      <Typography variant="note">{price}</Typography>
      {children}
      {ghosts.length > 0 && (
        <Button variant="quiet" sx={looks.showIt} aria-pressed={isShown} onClick={() => onShow(isShown ? null : ghosts)}>
          {isShown ? 'Hide it' : 'Show it'}
        </Button>
      )}
      <Button
        aria-disabled={moves.busy}
        onClick={() => void moves.move([{ batch: row.batch, changes: changesOf(row.batch.state, proposal, variant), why: price }]).then(() => onShow(null))}
      >
        {moves.busy ? 'Moving...' : title}
      </Button>
    </Box>
  );
}

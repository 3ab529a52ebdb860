import { clashKey, type Clash, type HousePlan, type PlanVariant, type Proposal, type Schedule } from '@bunkhouse/core';
import { useState, type ReactNode } from 'react';
import { Glyph } from '../../shell/glyphs';
import type { Row } from './bands';
import { changesOf } from './changesOf';
import type { PlanMoves } from './usePlanMoves';
import type { Ghost } from './WeeksPicture';
import { clashWords, proposalWords } from '../../shell/clashWords';
import { usePreferences } from '../../shell/preferences';

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
    <section className="clashes" aria-label="Clashes">
      {grave.length === 0 && <p className="note">Nothing is overfull, nothing too late{nights.length === 0 ? ', no job outside working hours' : ''}.</p>}
      {shown.map((clash, i) => (
        <ClashStrip key={`${clash.kind}${i}`} clash={clash} {...clashWords(clash, codeOf, plan.resources, preferences)} {...props} />
      ))}
      {grave.length > SHOWN && (
        <button type="button" className="lnk" onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : grave.length - SHOWN === 1 ? 'One more clash' : `${grave.length - SHOWN} more clashes`}
        </button>
      )}
      {nights.length > 0 && (
        <p className="note">
          {nights.length === 1 ? 'One job lies' : `${nights.length} jobs lie`} outside working hours:{' '}
          {[...new Set(nights.map((clash) => codeOf(clash.batch)))].join(', ')}.
        </p>
      )}
    </section>
  );
}

function ClashStrip({ clash, title, text, ...props }: ClashesProps & { clash: Clash; title: string; text: string }) {
  const [others, setOthers] = useState(false);
  const proposals = props.look.proposals.filter((proposal) => proposal.gone.includes(clashKey(clash)));
  const listed = others ? proposals : proposals.slice(0, 1);
  return (
    <div className="strip warn clash" role="group" aria-label={title}>
      <p className="clash-what">
        <span className="w">
          <Glyph name="caution" size={22} />
          {title}
        </span>
        <span>{text}</span>
      </p>
      {proposals.length === 0 && clash.kind !== 'impossible' && clash.kind !== 'late' && (
        <p className="note">No other place for one batch alone would help. Mend the plan, move meat, or split it.</p>
      )}
      {listed.map((proposal, i) => (
        <ProposalLine key={`${proposal.batch}${proposal.kind}${proposal.variant ?? ''}`} proposal={proposal} {...props}>
          {i === 0 && proposals.length > 1 && (
            <button type="button" className="lnk" aria-expanded={others} onClick={() => setOthers(!others)}>
              {others ? 'The first way only' : proposals.length === 2 ? 'One other way' : `${proposals.length - 1} other ways`}
            </button>
          )}
        </ProposalLine>
      ))}
    </div>
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
    <div className="proposal">
      <p className="note">{price}</p>
      {children}
      {ghosts.length > 0 && (
        <button type="button" className="btn quiet show-it" aria-pressed={isShown} onClick={() => onShow(isShown ? null : ghosts)}>
          {isShown ? 'Hide it' : 'Show it'}
        </button>
      )}
      <button
        type="button"
        className="btn"
        aria-disabled={moves.busy}
        onClick={() => void moves.move([{ batch: row.batch, changes: changesOf(row.batch.state, proposal, variant), why: price }]).then(() => onShow(null))}
      >
        {moves.busy ? 'Moving...' : title}
      </button>
    </div>
  );
}

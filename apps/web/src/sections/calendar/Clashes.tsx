import { clashKey, movedPlan, type Clash, type HousePlan, type Proposal, type Schedule } from '@bunkhouse/core';
import { useState } from 'react';
import { Glyph } from '../../shell/glyphs';
import { useReplan } from '../../shell/useReplan';
import type { Row } from './bands';
import { clashWords, proposalWords } from './words';

/** So many are shown before the rest is asked for. */
const SHOWN = 2;

/** What the plans run into, the gravest first, and for each what would help. Nights are told together. */
export function Clashes({
  look,
  rows,
  plan,
  preview,
  onPreview,
}: {
  look: Schedule;
  rows: readonly Row[];
  plan: HousePlan;
  preview: Proposal | null;
  onPreview: (proposal: Proposal | null) => void;
}) {
  const [all, setAll] = useState(false);
  const codeOf = (id: string) => rows.find((row) => row.id === id)?.code ?? id;
  const nights = look.clashes.filter((clash) => clash.kind === 'night');
  const grave = look.clashes.filter((clash) => clash.kind !== 'night');
  const shown = all ? grave : grave.slice(0, SHOWN);
  return (
    <section className="clashes" aria-label="Clashes">
      {grave.length === 0 && <p className="note">Nothing is overfull, nothing too late{nights.length === 0 ? ', no job outside working hours' : ''}.</p>}
      {shown.map((clash, i) => (
        <ClashStrip
          key={`${clash.kind}${i}`}
          clash={clash}
          {...clashWords(clash, codeOf, plan.resources)}
          rows={rows}
          proposals={look.proposals.filter((proposal) => proposal.gone.includes(clashKey(clash)))}
          preview={preview}
          onPreview={onPreview}
        />
      ))}
      {grave.length > SHOWN && (
        <button type="button" className="lnk" onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `${grave.length - SHOWN} more clashes`}
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

function ClashStrip({
  clash,
  title,
  text,
  rows,
  proposals,
  preview,
  onPreview,
}: {
  clash: Clash;
  title: string;
  text: string;
  rows: readonly Row[];
  proposals: readonly Proposal[];
  preview: Proposal | null;
  onPreview: (proposal: Proposal | null) => void;
}) {
  return (
    <div className="strip warn" role="group" aria-label={title}>
      <span className="w">
        <Glyph name="caution" size={22} />
        {title}
      </span>
      <div>
        <p>{text}</p>
        {proposals.length === 0 && clash.kind !== 'impossible' && (
          <p className="note">No other hours for one batch alone would help. Move meat, split it, or take another store.</p>
        )}
        {proposals.map((proposal) => {
          const row = rows.find(({ id }) => id === proposal.batch);
          return row === undefined ? null : (
            <ProposalLine key={proposal.batch} row={row} proposal={proposal} shown={preview?.batch === proposal.batch} onPreview={onPreview} />
          );
        })}
      </div>
    </div>
  );
}

function ProposalLine({ row, proposal, shown, onPreview }: { row: Row; proposal: Proposal; shown: boolean; onPreview: (proposal: Proposal | null) => void }) {
  const { replan, busy, fault } = useReplan(row.batch);
  const { title, price } = proposalWords(proposal, row.code, (step) => row.jobs.find((job) => job.id === step)?.title ?? step);
  return (
    <div className="proposal">
      <p className="note">{price}</p>
      <button type="button" className="btn quiet" aria-pressed={shown} onClick={() => onPreview(shown ? null : proposal)}>
        {shown ? 'Hide it' : 'Show it'}
      </button>
      <button
        type="button"
        className="btn"
        aria-disabled={busy}
        onClick={() => {
          const moves = Object.fromEntries(proposal.moves.map((move) => [move.step, move.at]));
          void replan(movedPlan(row.batch.state, moves), price).then(() => onPreview(null));
        }}
      >
        {busy ? 'Moving...' : title}
      </button>
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
    </div>
  );
}

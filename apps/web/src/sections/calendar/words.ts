import type { Clash, Proposal, Resource } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { span } from '../../shell/times';

const when = (at: string): string => dayjs(at).format('ddd D, HH:mm');

/** A clash in a sentence or two: what, when, and who with whom. */
export function clashWords(clash: Clash, codeOf: (id: string) => string, resources: readonly Resource[]): { title: string; text: string } {
  const codes = 'batches' in clash ? clash.batches.map(codeOf).join(', ') : codeOf(clash.batch);
  const name = 'resource' in clash ? (resources.find(({ id }) => id === clash.resource)?.name ?? clash.resource) : '';
  switch (clash.kind) {
    case 'full': {
      const kind = resources.find(({ id }) => id === clash.resource)?.kind;
      const unit = kind === 'refrigerator' ? 'L' : kind === 'smoker' ? 'racks' : 'tubs';
      return {
        title: `${name} overfull`,
        text: `${when(clash.from)} to ${when(clash.to)}: ${Number(clash.most.toFixed(1))} ${unit} of ${clash.capacity}. ${codes}.`,
      };
    }
    case 'programs':
      return { title: `${name}: two programs`, text: `${when(clash.from)} to ${when(clash.to)}: ${codes} want different heat.` };
    case 'hands':
      return { title: 'Too few hands', text: `${when(clash.from)}: ${clash.most} jobs at once. ${codes}.` };
    case 'night':
      return { title: 'Outside working hours', text: `${codes}, ${when(clash.at)}.` };
    case 'late':
      return { title: 'Too late for the table', text: `${codes} is ready ${when(clash.at)}, wanted ${when(clash.readyBy)}.` };
    case 'impossible':
      return { title: `${codes} cannot be`, text: `These wishes contradict each other: ${clash.wishes.join('; ')}.` };
  }
}

/** What a proposal moves, and its price. */
export function proposalWords(proposal: Proposal, code: string, titleOf: (step: string) => string): { title: string; price: string } {
  const first = proposal.moves.find((move) => !move.step.startsWith('turn')) ?? proposal.moves[0];
  const later = Date.parse(proposal.readyAt) - Date.parse(proposal.readyWas);
  const ready = later === 0 ? 'ready as before' : `ready ${when(proposal.readyAt)}, ${span(later)} ${later > 0 ? 'later' : 'earlier'}`;
  return {
    title: `Move ${code}`,
    price: first === undefined ? ready : `${titleOf(first.step)} ${when(first.at)} instead of ${when(first.was)}; ${ready}. ${solvesWords(proposal.solves)}`,
  };
}

const solvesWords = (solves: number): string => (solves === 1 ? 'One clash fewer.' : `${solves} clashes fewer.`);

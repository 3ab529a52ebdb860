import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

/** What is asked of a batch, in the order in which it stands on its page. */
const QUESTIONS = { now: 'Now', inside: 'Inside', cold: 'Cold', brine: 'Brine', pieces: 'Pieces', papers: 'Papers', log: 'Log' } as const;
type Question = keyof typeof QUESTIONS;

const BAR_PX = 46;

const styles = {
  bar: {
    position: 'sticky',
    top: 0,
    zIndex: 2,
    display: 'flex',
    overflowX: 'auto',
    scrollbarWidth: 'none',
    background: t.tile,
    border: `1px solid ${t.line}`,
    borderRadius: '3px',
    '& > a': {
      flex: '1 0 auto',
      minWidth: '64px',
      minHeight: `${BAR_PX}px`,
      padding: '4px 12px',
      borderRadius: 0,
      borderLeft: `1px solid ${t.hair}`,
      color: t.ink2,
      font: signed(17, 20, 500),
      textDecoration: 'none',
    },
    '& > a:first-of-type': { borderLeft: 0 },
  },
  answer: { display: 'grid', gap: '10px', scrollMarginTop: `${BAR_PX + 10}px`, minWidth: 0, '&:empty': { display: 'none' } },
} as const;

/** Each question one tap away, wherever the page is read. `elsewhere`: what has a page of its own. */
export function Questions({ asked, elsewhere }: { asked: readonly Question[]; elsewhere: readonly { to: string; word: string }[] }) {
  return (
    <Box component="nav" sx={styles.bar} aria-label="On this page">
      {asked.map((question) => (
        <Button key={question} variant="text" component="a" href={`#${question}`}>
          {QUESTIONS[question]}
        </Button>
      ))}
      {elsewhere.map(({ to, word }) => (
        <Button key={to} variant="text" component={Link} to={to}>
          {word}
        </Button>
      ))}
    </Box>
  );
}

/** What answers a question. */
export const Answer = ({ to, children }: { to: Question; children: ReactNode }) => (
  <Box id={to} sx={styles.answer}>
    {children}
  </Box>
);

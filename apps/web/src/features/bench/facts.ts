import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

/** Names and figures in pairs, a pair a line. */
export const facts = {
  gridColumn: '1 / -1',
  '& > div': { display: 'flex', justifyContent: 'space-between', gap: '12px', padding: '4px 0', borderTop: `1px solid ${t.hair}` },
  '& dt': { color: t.ink2 },
  '& dd': { font: signed(17, 20, 600), textAlign: 'right', whiteSpace: 'nowrap' },
} as const;

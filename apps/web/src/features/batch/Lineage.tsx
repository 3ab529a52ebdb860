import type { FamilyMember } from '@bunkhouse/api';
import { Link } from 'react-router';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed, worded } from '../../theme/type';

const styles = {
  lineage: {
    borderTop: `1px solid ${t.hair}`,
    padding: '10px 12px 14px',
    overflowX: 'auto',
    '& ul': { display: 'grid', gap: '6px' },
    '& ul ul': { marginLeft: '22px', padding: '6px 0 0 18px', borderLeft: `2px solid ${t.line}` },
    '& li': { position: 'relative' },
    '& ul ul > li::before': { content: '""', position: 'absolute', left: '-18px', top: '22px', width: '14px', borderTop: `2px solid ${t.line}` },
    '& a': {
      display: 'inline-grid',
      gridTemplateColumns: 'auto auto auto auto',
      gap: '0 12px',
      alignItems: 'center',
      minHeight: '44px',
      padding: '4px 12px',
      border: `1px solid ${t.line}`,
      borderRadius: '3px',
      color: 'inherit',
      textDecoration: 'none',
      font: worded(15, 20, 500),
    },
    '& a b': { font: signed(18, 22, 600) },
    '& a[aria-current]': { outline: `2px solid ${t.ink}` },
    [fold.narrow]: { '& a': { gridTemplateColumns: 'auto auto' } },
  },
} as const;

/** What was cut from what: the whole first, each part under what it came from. */
export function Lineage({ family, own }: { family: readonly FamilyMember[]; own: string }) {
  const roots = family.filter(({ from }) => from === null);
  return (
    <Box component="nav" sx={styles.lineage} aria-label="What was cut from what">
      <Members members={roots} family={family} own={own} />
    </Box>
  );
}

function Members({ members, family, own }: { members: readonly FamilyMember[]; family: readonly FamilyMember[]; own: string }) {
  const preferences = usePreferences();
  return (
    <ul>
      {members.map((member) => {
        const parts = family.filter(({ from }) => from === member.id);
        const yieldPercent = member.packedG === null ? null : (member.packedG / member.greenG) * 100;
        return (
          <li key={member.id}>
            <Link to={`/batches/${member.id}`} aria-current={member.id === own ? 'page' : undefined}>
              <b>{member.code}</b>
              <span>{member.name}</span>
              <Box component="span" sx={looks.num}>
                {inWords(member.greenG, 'mass', preferences)} green
              </Box>
              <small>
                {member.outcome === 'live'
                  ? 'on the rail'
                  : member.outcome === 'thrownAway'
                    ? 'thrown away'
                    : `packed${yieldPercent === null ? '' : `, ${digits(yieldPercent, 1)} %`}`}
              </small>
            </Link>
            {parts.length > 0 && <Members members={parts} family={family} own={own} />}
          </li>
        );
      })}
    </ul>
  );
}

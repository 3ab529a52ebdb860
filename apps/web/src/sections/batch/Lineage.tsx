import type { FamilyMember } from '@bunkhouse/api';
import { Link } from 'react-router';
import { usePreferences } from '../../shell/preferences';
import { digits, inWords } from '../../shell/quantities';

/** What was cut from what: the whole first, each part under what it came from. */
export function Lineage({ family, own }: { family: readonly FamilyMember[]; own: string }) {
  const roots = family.filter(({ from }) => from === null);
  return (
    <nav className="lineage" aria-label="What was cut from what">
      <Members members={roots} family={family} own={own} />
    </nav>
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
              <span className="num">{inWords(member.greenG, 'mass', preferences)} green</span>
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

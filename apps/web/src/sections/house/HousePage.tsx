import { Link } from 'react-router';
import { useHouse } from '../../data/batches';
import { useSession } from '../../data/session';
import { Only } from '../../shell/Only';
import { ROLE_WORDS, useWho } from '../../shell/who';
import { Crew } from './Crew';
import { OwnSecret } from './OwnSecret';
import { Sessions } from './Sessions';
import { SettingsForm } from './SettingsForm';
import { Tablets } from './Tablets';
import { PlainHttp } from '../../shell/PlainHttp';

/** The house itself: who belongs to it, where they are signed in, how it counts and keeps. */
export function HousePage() {
  const { data: house } = useHouse();
  const { data: session } = useSession();
  const { name, role } = useWho();
  return (
    <div className="page house-page">
      <div className="page-head">
        <div>
          <h1 className="title">{house?.name ?? 'The house'}</h1>
          <p className="note">
            {name}, {ROLE_WORDS[role].toLowerCase()}.{' '}
            {session?.demo === true && 'This is the made-up house: it is open to whoever sits at this machine, and to nobody else.'}
          </p>
        </div>
        <Only right="run">
          <Link className="lnk" to="/ledger/file">
            Backup
          </Link>
        </Only>
      </div>
      <PlainHttp />
      <div className="house-cols">
        <div className="house-col">
          <Only right="run">
            <Crew />
            <Tablets />
          </Only>
          <OwnSecret />
          <Sessions />
        </div>
        {house !== undefined && (
          <Only right="run">
            <div className="house-col">
              <SettingsForm key={JSON.stringify(house)} house={house} />
            </div>
          </Only>
        )}
      </div>
    </div>
  );
}

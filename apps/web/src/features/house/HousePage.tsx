import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { Title } from '../../kit/Title';
import { useHouse } from '../../data/batches';
import { useSession } from '../../data/session';
import { Only } from '../../kit/Only';
import { ROLE_WORDS, useWho } from '../../data/who';
import { Crew } from './Crew';
import { OwnSecret } from './OwnSecret';
import { Sessions } from './Sessions';
import { SettingsForm } from './SettingsForm';
import { Tablets } from './Tablets';
import { PlainHttp } from '../../kit/PlainHttp';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';

const styles = {
  houseCols: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1.15fr) minmax(0, 1fr)',
    gap: '10px',
    alignItems: 'start',
    [fold.middle]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  houseCol: { display: 'grid', gap: '10px', alignContent: 'start', minWidth: 0 },
} as const;

/** The house itself: who belongs to it, where they are signed in, how it counts and keeps. */
export function HousePage() {
  const { data: house } = useHouse();
  const { data: session } = useSession();
  const { name, role } = useWho();
  return (
    <Box sx={looks.page}>
      <Box sx={looks.pageHead}>
        <div>
          <Title>{house?.name ?? 'The house'}</Title>
          <Typography variant="note">
            {name}, {ROLE_WORDS[role].toLowerCase()}.{' '}
            {session?.demo === true && 'This is the made-up house: it is open to whoever sits at this machine, and to nobody else.'}
          </Typography>
        </div>
        <Only right="run">
          <Button variant="text" component={Link} to="/ledger/file">
            Backup
          </Button>
        </Only>
      </Box>
      <PlainHttp />
      <Box sx={styles.houseCols}>
        <Box sx={styles.houseCol}>
          <Only right="run">
            <Crew />
            <Tablets />
          </Only>
          <OwnSecret />
          <Sessions />
        </Box>
        {house !== undefined && (
          <Only right="run">
            <Box sx={styles.houseCol}>
              <SettingsForm key={JSON.stringify(house)} house={house} />
            </Box>
          </Only>
        )}
      </Box>
    </Box>
  );
}

import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { Title } from '../../kit/Title';
import { Devices } from '../../acts/pit/Devices';
import { BringIn } from './BringIn';
import { TakeOut } from './TakeOut';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

const styles = {
  readingsPage: { display: 'grid', gap: '10px', maxWidth: '1200px' },
  pageHead: { margin: 0 },
} as const;

/** Readings in and out: files of other people's loggers, and the house's own as CSV or JSON. */
export const ReadingsInOut = () => (
  <Box sx={[looks.page, styles.readingsPage]}>
    <Box sx={[looks.pageHead, styles.pageHead]}>
      <Title>Readings in and out</Title>
      <Button variant="text" component={Link} to="/pit">
        To the pit
      </Button>
    </Box>
    <BringIn />
    <TakeOut />
    <Devices />
  </Box>
);

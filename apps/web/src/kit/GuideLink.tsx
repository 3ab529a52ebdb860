import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { guideAddress, type GuidePlace } from '../reader/words/guidePlaces';

const styles = {
  guideLink: { marginLeft: '12px' },
} as const;

/** To the paragraph of the Guide that tells where a figure comes from. */
export const GuideLink = ({ to, of }: { to: GuidePlace; of: string }) => (
  <Button variant="text" sx={styles.guideLink} component={Link} to={guideAddress(to)} aria-label={`${of}, in the Guide`}>
    In the Guide
  </Button>
);

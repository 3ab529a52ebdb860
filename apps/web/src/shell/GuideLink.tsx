import { Link } from 'react-router';
import { guideAddress, type GuidePlace } from './guidePlaces';

/** To the paragraph of the Guide that tells where a figure comes from. */
export const GuideLink = ({ to, of }: { to: GuidePlace; of: string }) => (
  <Link className="lnk guide-link" to={guideAddress(to)} aria-label={`${of}, in the Guide`}>
    In the Guide
  </Link>
);

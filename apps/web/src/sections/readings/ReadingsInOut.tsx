import { Link } from 'react-router';
import { Devices } from '../../shell/pit/Devices';
import { BringIn } from './BringIn';
import { TakeOut } from './TakeOut';

/** Readings in and out: files of other people's loggers, and the house's own as CSV or JSON. */
export const ReadingsInOut = () => (
  <div className="page readings-page">
    <div className="page-head">
      <h1 className="title">Readings in and out</h1>
      <Link className="lnk" to="/pit">
        To the pit
      </Link>
    </div>
    <BringIn />
    <TakeOut />
    <Devices />
  </div>
);

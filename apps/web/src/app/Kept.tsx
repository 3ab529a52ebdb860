import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { useLostSince } from '../data/connection';
import { useWaiting } from '../data/outbox';
import { Strip } from '../kit/Strip';
import { clockTime } from '../reader/times';

/** What this device keeps because the house cannot be told, or would not have it. Nothing while all is well. */
export function Kept() {
  const lost = useLostSince();
  const waiting = useWaiting();
  const refused = waiting.filter(({ refusal }) => refusal !== null).length;
  if (lost === null && waiting.length === 0) return null;
  const entries = (n: number) => (n === 1 ? '1 entry' : `${n} entries`);
  return (
    <Strip
      level={refused > 0 ? 'caution' : 'note'}
      role="status"
      word={refused > 0 ? 'To decide' : lost === null ? 'Sending' : 'No connection'}
      sx={{ marginBottom: '10px' }}
    >
      <>
        {refused > 0
          ? `The house would not take ${entries(refused)} as it was logged here. `
          : lost === null
            ? `${entries(waiting.length)} on the way. `
            : `Since ${clockTime(new Date(lost).toISOString())}. What you see is what was known then. ${
                waiting.length === 0
                  ? 'What you log is kept on this device and sent later. '
                  : `${entries(waiting.length)} kept here, sent when the house answers. `
              }`}
        {waiting.length > 0 && (
          <Button variant="text" component={Link} to="/kept">
            {refused > 0 ? 'Decide' : 'Look at them'}
          </Button>
        )}
      </>
    </Strip>
  );
}

import { usePreferences } from '../reader/preferences';
import { Tick } from '../kit/Tick';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';

const KEYS: readonly (readonly [key: string, what: string])[] = [
  ['T', 'Today'],
  ['N', 'New batch'],
  ['C', 'Calendar'],
  ['B', 'Bench'],
  ['P', 'Pit'],
  ['R', 'Recipes'],
  ['S', 'Stores'],
  ['L', 'Ledger'],
  ['G', 'Guide'],
  ['Enter', 'In a form: log it'],
  ['Ctrl Z', 'In the Calendar: take the last move back'],
  ['?', 'These keys'],
];

/** The keys, and whether single letters are keys at all. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  const { keys, change } = usePreferences();
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-title">
      <Box sx={looks.keys}>
        <Box component="h2" id="keys-title" sx={looks.head}>
          Keys
        </Box>
        <dl>
          {KEYS.map(([key, what]) => (
            <div key={key}>
              <dt>
                <kbd>{key}</kbd>
              </dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
        <Tick label="Single letters lead to screens" checked={keys} onChange={(on) => change({ keys: on })} />
        <Button onClick={onClose}>Close</Button>
      </Box>
    </Dialog>
  );
}

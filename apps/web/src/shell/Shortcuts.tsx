import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';

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

/** The few keys, shown by `?`. */
export function Shortcuts() {
  const [open, setOpen] = useState(false);
  useHotkeys('?', () => setOpen((was) => !was), { useKey: true });
  return (
    <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="keys-title">
      <div className="keys">
        <h2 id="keys-title" className="head">
          Keys
        </h2>
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
        <button type="button" className="btn" onClick={() => setOpen(false)}>
          Close
        </button>
      </div>
    </Dialog>
  );
}

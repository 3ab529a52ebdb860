import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import { useEventCallback } from '@mui/material/utils';
import { lazy, memo, Suspense, type ReactNode } from 'react';
import type { PickerProps } from './pickers/useHeld';

/*
 * Drawn anew only for a further time. The field keeps what is half typed from one key to the next only if nothing draws
 * it in between, and the page around it is drawn whenever something has been worked out.
 */
const MomentPicker = memo(lazy(async () => ({ default: (await import('./pickers/MomentPicker')).MomentPicker })));
const DayPicker = memo(lazy(async () => ({ default: (await import('./pickers/DayPicker')).DayPicker })));

/** As large as the field that comes: nothing jumps. */
const Coming = () => <Skeleton height={68} />;

/** A day and a time of day; beside it what else may be said of them. */
export function MomentField({ action, onChange, ...picker }: PickerProps & { action?: ReactNode }) {
  const change = useEventCallback(onChange);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', gap: '8px', alignItems: 'end' }}>
      <Suspense fallback={<Coming />}>
        <MomentPicker {...picker} onChange={change} />
      </Suspense>
      {action}
    </Box>
  );
}

/** A day. */
export function DayField({ onChange, ...picker }: PickerProps) {
  const change = useEventCallback(onChange);
  return (
    <Suspense fallback={<Coming />}>
      <DayPicker {...picker} onChange={change} />
    </Suspense>
  );
}

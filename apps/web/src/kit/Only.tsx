import Typography from '@mui/material/Typography';
import type { PersonalRight } from '@bunkhouse/api';
import type { ReactNode } from 'react';
import { useMay } from '../data/who';

/** What only those see who have a right; what the others see instead. */
export function Only({ right, otherwise = null, children }: { right: PersonalRight; otherwise?: ReactNode; children: ReactNode }) {
  return useMay(right) ? children : otherwise;
}

/** In the place of a form that is not for whoever stands here. */
export const NotForYou = ({ right }: { right: 'record' | 'plan' }) => (
  <Typography variant="note">
    {right === 'record' ? 'You look in as a reader: what is done is logged by those who do it.' : 'A cook plans and decides this. You log what was done.'}
  </Typography>
);

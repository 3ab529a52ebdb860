import Skeleton from '@mui/material/Skeleton';
import { lazy, Suspense } from 'react';
import { NotForYou, Only } from '../../kit/Only';
import type { RecordStepProps } from './RecordForm';

/** Fetched behind the page that says what is to be done: that is read before anything is typed. */
const RecordForm = lazy(async () => ({ default: (await import('./RecordForm')).RecordForm }));

/** Asks for the numbers that matter at a step and logs them with the real time. */
export const RecordStep = (props: RecordStepProps) => (
  <Only right="record" otherwise={<NotForYou right="record" />}>
    <Suspense fallback={<Skeleton height={props.step.spec.inputs.length === 0 ? 60 : 150} />}>
      <RecordForm {...props} />
    </Suspense>
  </Only>
);

import type { BatchRequest } from '@bunkhouse/api';
import { useEffect, useRef } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { useLearnt } from '../../data/learnt';

/** A new batch is modelled as the house has learnt, until the cook takes the usual figure. */
export function useHouseDiffusivity({ setValue }: UseFormReturn<BatchRequest>): void {
  const learnt = useLearnt();
  const given = useRef(false);
  useEffect(() => {
    if (learnt === undefined || given.current) return;
    given.current = true;
    setValue('diffusivity', learnt.diffusivity.cutFaces > 0 ? learnt.diffusivity : undefined);
  }, [learnt, setValue]);
}

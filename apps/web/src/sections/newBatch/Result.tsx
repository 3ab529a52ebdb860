import { useSay } from '../../shell/reader';
import type { BatchRequest } from '@bunkhouse/api';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { useFormContext, useFormState, useWatch } from 'react-hook-form';
import { FindingStrip } from '../../instruments/FindingStrip';
import { Glyph } from '../../shell/glyphs';
import { keepDraft } from './firstRequest';
import { useProcess } from './useProcess';
import { PlanSheet } from './PlanSheet';
import { planOf, stopOf } from './planOf';

/** What the form comes to, and its one button. Follows the typing without holding it up. */
export function Result({ refusal }: { refusal: string | null }) {
  const { control, setValue } = useFormContext<BatchRequest>();
  const { isSubmitting } = useFormState({ control });
  const typed = useWatch({ control }) as BatchRequest;
  const request = useDeferredValue(typed);
  const process = useProcess(request);
  const plan = useMemo(() => planOf(request, process), [request, process]);
  const say = useSay();
  const stop = stopOf(plan);
  // What was typed is kept at once, not when the sheet has caught up: the page may be closed in between.
  useEffect(() => keepDraft(typed), [typed]);
  const sheet = useMemo(
    () =>
      'state' in plan && (
        <PlanSheet
          request={request}
          state={plan.state}
          onTarget={(ppm) => setValue('nitritePpm', ppm, { shouldValidate: true })}
          onDays={(days) => setValue('cureDays', days, { shouldValidate: true })}
          onDiffusivity={(diffusivity) => setValue('diffusivity', diffusivity)}
        />
      ),
    [plan, request, setValue],
  );
  return (
    <div className="new-result">
      <div className="new-act">
        {stop !== null && (
          <p className="note">
            It cannot be started like this. <span className="stop-here">{say(stop)}</span>
          </p>
        )}
        {refusal !== null && (
          <p className="fault" role="alert">
            {refusal}
          </p>
        )}
        <button type="submit" className="btn xl go" disabled={stop !== null} aria-disabled={isSubmitting}>
          <Glyph name="start" />
          {isSubmitting ? 'Starting...' : 'Start the batch'}
        </button>
      </div>
      {'fault' in plan && stop !== null && <FindingStrip finding={stop} />}
      {'incomplete' in plan && <p className="lead">A number is missing: see the form.</p>}
      {sheet}
    </div>
  );
}

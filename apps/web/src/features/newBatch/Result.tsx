import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { useSay } from '../../reader/reader';
import type { BatchRequest } from '@bunkhouse/api';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { useFormContext, useFormState, useWatch } from 'react-hook-form';
import { FindingStrip } from '../../kit/FindingStrip';
import { Glyph } from '../../kit/glyphs';
import { Strip } from '../../kit/Strip';
import { keepDraft } from './firstRequest';
import { useProcess } from './useProcess';
import { PlanSheet } from './PlanSheet';
import { planOf, stopOf } from './planOf';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  newResult: {
    display: 'grid',
    gap: '10px',
    [fold.laptop]: { position: 'sticky', top: '12px', maxHeight: 'calc(100dvh - var(--rail-h) - 24px)', overflowY: 'auto' },
    [fold.tablet]: { display: 'contents' },
  },
  newAct: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '12px',
    alignItems: 'center',
    justifyContent: 'flex-end',
    minHeight: '56px',
    [fold.laptop]: { position: 'sticky', top: 0, background: t.tile, zIndex: 1, paddingBottom: '2px' },
    [fold.tablet]: {
      order: 99,
      position: 'sticky',
      bottom: 0,
      zIndex: 2,
      background: t.tile,
      padding: '6px 0',
      justifyContent: 'stretch',
      '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { flex: '1 1 100%' },
    },
  },
  stopHere: { [fold.laptop]: { display: 'none' }, [fold.tablet]: { color: t.danger.ink, fontWeight: 500 } },
} as const;

/** Where what the form comes to stands below it, the first caution stands with the button; beside the form it is in sight anyway. */
const BESIDE_START = {
  flex: '1 1 100%',
  '@media (min-width: 1021px)': { display: 'none' },
  '& .MuiAlert-message': { display: '-webkit-box', WebkitLineClamp: 3, WebkitBoxOrient: 'vertical', overflow: 'hidden' },
} as const;

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
  const caution = stop === null && 'state' in plan ? (plan.state.findings.find(({ level }) => level === 'warn') ?? null) : null;
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
    <Box sx={styles.newResult}>
      <Box sx={styles.newAct}>
        {stop !== null && (
          <Typography variant="note">
            It cannot be started like this.{' '}
            <Box component="span" sx={styles.stopHere}>
              {say(stop)}
            </Box>
          </Typography>
        )}
        {caution !== null && (
          <Strip level="caution" role="note" sx={BESIDE_START}>
            {say(caution)}
          </Strip>
        )}
        {refusal !== null && (
          <Typography variant="fault" role="alert">
            {refusal}
          </Typography>
        )}
        <Button type="submit" variant="contained" size="large" disabled={stop !== null} aria-disabled={isSubmitting}>
          <Glyph name="start" />
          {isSubmitting ? 'Starting...' : 'Start the batch'}
        </Button>
      </Box>
      {'fault' in plan && stop !== null && <FindingStrip finding={stop} />}
      {'incomplete' in plan && (
        <Box component="p" sx={looks.lead}>
          {isUnweighed(request) ? 'Weigh the meat: brine, nitrite and days are worked out from it.' : 'A number or a time is missing: see the form.'}
        </Box>
      )}
      {sheet}
    </Box>
  );
}

const isUnweighed = ({ pieces }: BatchRequest): boolean => pieces.some(({ greenG }) => greenG === undefined);

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded, paired } from '../../theme/surfaces';
import type { BatchRequest } from '@bunkhouse/api';
import dayjs from 'dayjs';
import { useDeferredValue, useEffect, useState, type RefObject } from 'react';
import { useFormContext, useFormState, useWatch } from 'react-hook-form';
import { Panel } from '../../kit/Panel';
import { MomentField } from '../../kit/MomentField';
import { useLiveBatches } from '../../data/batches';
import { Choice } from '../../kit/Choice';
import { clashWords, when } from '../../reader/words/clashWords';
import { Strip } from '../../kit/Strip';
import { dayAndTime, fieldTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { useFit, type Direction, type Fit } from './useFit';
import { usePreferences } from '../../reader/preferences';
import { looks } from '../../theme/looks';
import { signed } from '../../theme/type';

const styles = {
  whenFit: { display: 'grid', gap: '10px' },
  whenStart: { minHeight: '48px', display: 'flex', alignItems: 'center', font: signed(22, '1.2', 600) },
} as const;

const DIRECTIONS: Record<Direction, string> = { forwards: 'The meat comes on', backwards: 'Back from the table', both: 'Both' };
const HOURS = { usual: 'At its usual hours', house: 'In the house’s hours' } as const;
/** Without a better word it is wanted so many days after the plan would be ready. */
const SPARE_DAYS = 2;
const PACK_DAYS = 4;
/** So many jobs outside working hours are named. */
const NAMED = 3;

/** Why a batch cannot be started yet. */
export const WORKING = 'One moment: the hours are still being worked out.';

/** When the meat comes on or when it is wanted on the table. */
export function WhenPanel({ notYet }: { notYet: RefObject<string | null> }) {
  const { control, setValue } = useFormContext<BatchRequest>();
  const { errors } = useFormState({ control, name: ['startsAt', 'readyBy'] });
  const typed = useWatch({ control }) as BatchRequest;
  const request = useDeferredValue(typed);
  const now = useNow();
  const [direction, setDirection] = useState<Direction>(typed.readyBy === undefined ? 'forwards' : 'backwards');
  const [inHours, setInHours] = useState(false);
  const fit = useFit(request, direction, inHours);
  const fields = fit?.fields ?? null;
  const said = JSON.stringify(fields);
  useEffect(() => {
    const asked = JSON.parse(said) as Fit['fields'];
    if (asked === null) return;
    if (direction === 'backwards') setValue('startsAt', asked.startsAt, { shouldValidate: true });
    setValue('stepAt', asked.stepAt);
    setValue('stores', asked.stores);
  }, [said, direction, setValue]);
  useEffect(() => {
    const wanted = direction !== 'forwards' || inHours;
    if (!wanted) notYet.current = null;
    else if (fit === null || fit.working) notYet.current = WORKING;
    else notYet.current = fit.fields === null ? 'No hours were found for it: see When.' : null;
  }, [fit, direction, inHours, notYet]);

  const free = () => {
    setValue('stepAt', undefined);
    setValue('stores', undefined);
  };
  const turn = (next: Direction) => {
    setDirection(next);
    if (next === 'forwards') {
      setValue('readyBy', undefined);
      if (!inHours) free();
    } else if (typed.readyBy === undefined) {
      const days = typed.cureDays + PACK_DAYS + SPARE_DAYS;
      setValue('readyBy', dayjs(now).startOf('day').add(Math.ceil(days), 'day').hour(12).toISOString(), { shouldValidate: true });
    }
  };
  return (
    <Panel title="When" aside={fit?.working === true ? 'working it out' : undefined}>
      <Box sx={[styles.whenFit, padded]}>
        <Choice label="Plan it" value={direction} options={DIRECTIONS} onChange={turn} />
        <Box sx={paired}>
          {direction === 'backwards' ? (
            <Box component="p" sx={looks.field}>
              <Typography variant="label">The meat comes on</Typography>
              <Box component="b" sx={styles.whenStart}>
                {fields === null ? '…' : dayAndTime(fields.startsAt, now)}
              </Box>
            </Box>
          ) : (
            <Instant label="First job" name="startsAt" value={typed.startsAt} fault={errors.startsAt?.message} />
          )}
          {direction !== 'forwards' && <Instant label="On the table at" name="readyBy" value={typed.readyBy} fault={errors.readyBy?.message} />}
        </Box>
        {direction === 'forwards' && (
          <Choice
            label="Each job"
            value={inHours ? 'house' : 'usual'}
            options={HOURS}
            onChange={(chosen) => {
              setInHours(chosen === 'house');
              if (chosen === 'usual') free();
            }}
          />
        )}
        {fit !== null && <FitWords fit={fit} />}
      </Box>
    </Panel>
  );
}

/** What the plan runs into in the house, and that it runs into nothing. */
function FitWords({ fit: { clashes, titles, fields, working, fault, plan } }: { fit: Fit }) {
  const { batches } = useLiveBatches();
  const preferences = usePreferences();
  if (fault !== null) return <Typography variant="fault">{fault}</Typography>;
  if (working && fields === null) return <Typography variant="note">Looking where it fits in beside the other batches...</Typography>;
  const grave = clashes.filter((clash) => clash.kind !== 'night');
  const nights = clashes.flatMap((clash) => (clash.kind === 'night' ? [`${titles.get(clash.step) ?? clash.step}, ${when(clash.at)}`] : []));
  return (
    <>
      {grave.map((clash) => {
        const { title, text } = clashWords(
          clash,
          (id) => batches?.find(({ record }) => record.id === id)?.record.code ?? 'This batch',
          plan.resources,
          preferences,
        );
        return (
          <Strip key={`${title}${text}`} level="caution" role="group" aria-label={title} word={title} sx={{ flexWrap: 'wrap' }}>
            {text}
          </Strip>
        );
      })}
      {fields !== null && (
        <Typography variant="note">
          {nights.length === 0
            ? 'Every job lies in working hours, every gap within its limits.'
            : `Outside working hours, and nothing better was found beside the other batches: ${nights.slice(0, NAMED).join('; ')}${nights.length > NAMED ? `; and ${nights.length - NAMED} more` : ''}.`}
        </Typography>
      )}
    </>
  );
}

function Instant({ label, name, value, fault }: { label: string; name: 'startsAt' | 'readyBy'; value: string | undefined; fault: string | undefined }) {
  const { setValue } = useFormContext<BatchRequest>();
  return (
    <MomentField
      label={label}
      value={value === undefined || Number.isNaN(Date.parse(value)) ? '' : fieldTime(value)}
      onChange={(at) => setValue(name, at === '' ? '' : new Date(at).toISOString(), { shouldValidate: true })}
      error={fault}
    />
  );
}

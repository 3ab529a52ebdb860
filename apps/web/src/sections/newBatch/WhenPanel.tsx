import type { BatchRequest } from '@bunkhouse/api';
import dayjs from 'dayjs';
import { useDeferredValue, useEffect, useState, type RefObject } from 'react';
import { useFormContext, useFormState, useWatch } from 'react-hook-form';
import { useLiveBatches } from '../../data/batches';
import { Choice } from '../../shell/Choice';
import { clashWords, when } from '../../shell/clashWords';
import { Glyph } from '../../shell/glyphs';
import { dayAndTime, fieldTime } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import { useFit, type Direction, type Fit } from './useFit';
import { usePreferences } from '../../shell/preferences';

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
    <section className="panel">
      <div className="ph">
        <h2>When</h2>
        {fit?.working === true && <span className="aside">working it out</span>}
      </div>
      <div className="pad when-fit">
        <Choice label="Plan it" value={direction} options={DIRECTIONS} onChange={turn} />
        <div className="pair">
          {direction === 'backwards' ? (
            <p className="field">
              <span className="label">The meat comes on</span>
              <b className="when-start">{fields === null ? '…' : dayAndTime(fields.startsAt, now)}</b>
            </p>
          ) : (
            <Instant label="First job" name="startsAt" value={typed.startsAt} fault={errors.startsAt?.message} />
          )}
          {direction !== 'forwards' && <Instant label="On the table at" name="readyBy" value={typed.readyBy} fault={errors.readyBy?.message} />}
        </div>
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
      </div>
    </section>
  );
}

/** What the plan runs into in the house, and that it runs into nothing. */
function FitWords({ fit: { clashes, titles, fields, working, fault, plan } }: { fit: Fit }) {
  const { batches } = useLiveBatches();
  const preferences = usePreferences();
  if (fault !== null) return <p className="fault">{fault}</p>;
  if (working && fields === null) return <p className="note">Looking where it fits in beside the other batches...</p>;
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
          <div key={`${title}${text}`} className="strip warn" role="group" aria-label={title}>
            <span className="w">
              <Glyph name="caution" size={22} />
              {title}
            </span>
            <p>{text}</p>
          </div>
        );
      })}
      {fields !== null && (
        <p className="note">
          {nights.length === 0
            ? 'Every job lies in working hours, every gap within its limits.'
            : `Outside working hours, and nothing better was found beside the other batches: ${nights.slice(0, NAMED).join('; ')}${nights.length > NAMED ? `; and ${nights.length - NAMED} more` : ''}.`}
        </p>
      )}
    </>
  );
}

function Instant({ label, name, value, fault }: { label: string; name: 'startsAt' | 'readyBy'; value: string | undefined; fault: string | undefined }) {
  const { setValue } = useFormContext<BatchRequest>();
  return (
    <label className={`field${fault ? ' wrong' : ''}`}>
      <span className="label">{label}</span>
      <input
        className="box"
        type="datetime-local"
        value={value === undefined || Number.isNaN(Date.parse(value)) ? '' : fieldTime(value)}
        onChange={(event) => setValue(name, event.target.value === '' ? '' : new Date(event.target.value).toISOString(), { shouldValidate: true })}
      />
      <Fault text={fault} />
    </label>
  );
}

const Fault = ({ text }: { text: string | undefined }) =>
  text === undefined ? null : (
    <p className="fault" role="alert">
      {text}
    </p>
  );

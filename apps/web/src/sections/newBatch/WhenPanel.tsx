import type { BatchRequest } from '@bunkhouse/api';
import { useFormContext, useFormState, useWatch } from 'react-hook-form';
import { fieldTime } from '../../shell/times';

/** The first job’s time, and who starts it. */
export function WhenPanel() {
  const { control, setValue } = useFormContext<BatchRequest>();
  const { errors } = useFormState({ control, name: ['startsAt', 'by'] });
  const [startsAt, by] = useWatch({ control, name: ['startsAt', 'by'] });
  return (
    <section className="panel">
      <div className="ph">
        <h2>When and who</h2>
      </div>
      <div className="pad pair">
        <label className={`field${errors.startsAt ? ' wrong' : ''}`}>
          <span className="label">First job</span>
          <input
            className="box"
            type="datetime-local"
            value={Number.isNaN(Date.parse(startsAt)) ? '' : fieldTime(startsAt)}
            onChange={(event) => setValue('startsAt', event.target.value === '' ? '' : new Date(event.target.value).toISOString(), { shouldValidate: true })}
          />
          <Fault text={errors.startsAt?.message} />
        </label>
        <label className={`field${errors.by ? ' wrong' : ''}`}>
          <span className="label">Started by</span>
          <input
            className="box"
            autoComplete="off"
            maxLength={40}
            value={by}
            onChange={(event) => setValue('by', event.target.value, { shouldValidate: true })}
          />
          <Fault text={errors.by?.message} />
        </label>
      </div>
    </section>
  );
}

const Fault = ({ text }: { text: string | undefined }) =>
  text === undefined ? null : (
    <p className="fault" role="alert">
      {text}
    </p>
  );

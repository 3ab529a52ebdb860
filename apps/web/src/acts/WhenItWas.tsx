import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useFormContext, useWatch } from 'react-hook-form';
import { houseTime } from '../data/serverClock';
import { FormMoment } from '../kit/form/fields';
import { Tick } from '../kit/Tick';

/** When something was done, in a form that says it: an instant, empty for now, and whether anybody looked at the clock. */
export interface WhenSaid {
  at: string;
  about: boolean;
}

/** Now, unless it was earlier; then at what time, or about it. */
export function WhenItWas() {
  const { control, setValue } = useFormContext<WhenSaid>();
  const [at, about] = useWatch({ control, name: ['at', 'about'] });
  if (at === '')
    return (
      <Typography variant="note">
        With the time now.{' '}
        <Button variant="text" onClick={() => setValue('at', new Date(houseTime()).toISOString())}>
          It was earlier
        </Button>
      </Typography>
    );
  return (
    <>
      <FormMoment<WhenSaid> name="at" label="When it was" />
      <Tick label="About then: nobody looked at the clock" checked={about} onChange={(isAbout) => setValue('about', isAbout)} />
    </>
  );
}

/** What an entry says of its time, and in words of one's own where there are any. */
export const whenAndWhy = ({ reason, ...when }: WhenSaid & { reason: string }): ReturnType<typeof whenOf> & { reason?: string } => ({
  ...whenOf(when),
  ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
});

/** What an entry says of its time. */
export const whenOf = ({ at, about }: WhenSaid): { at?: string; about?: true } => ({
  ...(at === '' ? {} : { at }),
  ...(about ? { about: true } : {}),
});

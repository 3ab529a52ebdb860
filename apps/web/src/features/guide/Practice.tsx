import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { acts, padded } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../kit/Panel';
import { NumberField } from '../../kit/NumberField';
import { guideAddress } from '../../reader/words/guidePlaces';
import { digits, inWords } from '../../reader/quantities';
import { exercise, EXERCISES, isRight, slipOf } from './exercises';
import { usePreferences } from '../../reader/preferences';
import { looks } from '../../theme/looks';

const styles = {
  practice: { display: 'grid', gap: '12px', '& .MuiFormControl-root': { maxWidth: '340px' } },
} as const;

const lots = (): [number, number, number] => [Math.random(), Math.random(), Math.random()];

/** Things that a cook should be able to work out at the sink, with made-up numbers. */
export function Practice() {
  const preferences = usePreferences();
  const [asked, setAsked] = useState(() => ({ number: 0, drawn: lots() }));
  const [typed, setTyped] = useState<number>();
  const [said, setSaid] = useState<'nothing' | 'right' | 'wrong' | 'shown'>('nothing');
  const { number, drawn } = asked;
  const one = exercise(number, drawn, preferences);
  const next = () => {
    setAsked({ number: number + 1, drawn: lots() });
    setTyped(undefined);
    setSaid('nothing');
  };
  const check = (event: FormEvent) => {
    event.preventDefault();
    if (typed === undefined || Number.isNaN(typed)) return;
    setSaid(isRight(one, typed) ? 'right' : 'wrong');
  };
  const isOver = said === 'right' || said === 'shown';
  return (
    <Panel
      title="Practice"
      aside={
        <>
          {(number % EXERCISES) + 1} of {EXERCISES}, made-up numbers
        </>
      }
      label="Practice"
    >
      <Box component="form" sx={[styles.practice, padded]} noValidate onSubmit={check}>
        <Box component="p" sx={looks.lead}>
          {one.asks}
        </Box>
        <NumberField
          key={number}
          label={one.unit === '' ? 'Your answer' : `Your answer, ${one.unit}`}
          {...(one.quantity === undefined ? {} : { quantity: one.quantity })}
          value={typed}
          onChange={setTyped}
          decimals={2}
          big
        />
        <Box component="p" sx={looks.lead} role="status">
          {said === 'right' && <b>Right. </b>}
          {said === 'wrong' && typed !== undefined && (slipOf(one, typed) ?? 'Not yet. Try again, or look at the working.')}
          {isOver && `${one.working}.`}
        </Box>
        <Box sx={acts}>
          {!isOver && <Button type="submit">Check it</Button>}
          {!isOver && (
            <Button variant="quiet" onClick={() => setSaid('shown')}>
              Show the working
            </Button>
          )}
          {isOver && <Button onClick={next}>Another one</Button>}
          <Button variant="text" component={Link} to={guideAddress(one.place)}>
            Where it comes from
          </Button>
        </Box>
        {said === 'shown' && (
          <Typography variant="note">
            The answer is{' '}
            {one.quantity === undefined ? `${digits(one.answer, one.within < 1 ? 2 : 0)} ${one.unit}` : inWords(one.answer, one.quantity, preferences, 2)}.
          </Typography>
        )}
      </Box>
    </Panel>
  );
}

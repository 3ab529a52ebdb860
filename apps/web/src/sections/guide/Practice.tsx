import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { NumberField } from '../../instruments/NumberField';
import { guideAddress } from '../../shell/guidePlaces';
import { digits, inWords } from '../../shell/quantities';
import { exercise, EXERCISES, isRight, slipOf } from './exercises';
import { usePreferences } from '../../shell/preferences';

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
    <section className="panel" aria-label="Practice">
      <div className="ph">
        <h2>Practice</h2>
        <span className="aside">
          {(number % EXERCISES) + 1} of {EXERCISES}, made-up numbers
        </span>
      </div>
      <form className="pad practice" noValidate onSubmit={check}>
        <p className="lead">{one.asks}</p>
        <NumberField
          key={number}
          label={one.unit === '' ? 'Your answer' : `Your answer, ${one.unit}`}
          {...(one.quantity === undefined ? {} : { quantity: one.quantity })}
          value={typed}
          onChange={setTyped}
          decimals={2}
          big
        />
        <p className="lead" role="status">
          {said === 'right' && <b>Right. </b>}
          {said === 'wrong' && typed !== undefined && (slipOf(one, typed) ?? 'Not yet. Try again, or look at the working.')}
          {isOver && `${one.working}.`}
        </p>
        <div className="words-act">
          {!isOver && (
            <button type="submit" className="btn">
              Check it
            </button>
          )}
          {!isOver && (
            <button type="button" className="btn quiet" onClick={() => setSaid('shown')}>
              Show the working
            </button>
          )}
          {isOver && (
            <button type="button" className="btn" onClick={next}>
              Another one
            </button>
          )}
          <Link className="lnk" to={guideAddress(one.place)}>
            Where it comes from
          </Link>
        </div>
        {said === 'shown' && (
          <p className="note">
            The answer is{' '}
            {one.quantity === undefined ? `${digits(one.answer, one.within < 1 ? 2 : 0)} ${one.unit}` : inWords(one.answer, one.quantity, preferences, 2)}.
          </p>
        )}
      </form>
    </section>
  );
}

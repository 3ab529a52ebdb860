/** @jest-environment jsdom */
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { setLanguage } from '../reader/language';
import { FIRST_PREFERENCES, PreferencesContext, type Preferences } from '../reader/preferences';
import { NumberField } from './NumberField';
import { Pick } from './Pick';
import { ReasonChips } from './ReasonChips';
import { Tick } from './Tick';
import { WordsField } from './WordsField';

afterEach(() => setLanguage({ decimal: 'point', dates: 'dayFirst', clock: '24' }));

/** A weight in somebody's hands: what is kept, g, is told below the field. */
function Weight({ first, error }: { first?: number; error?: string }) {
  const [preferences, setPreferences] = useState<Preferences>(FIRST_PREFERENCES);
  const [g, setG] = useState<number | undefined>(first);
  return (
    <PreferencesContext value={{ ...preferences, change: (part) => setPreferences((now) => ({ ...now, ...part })) }}>
      <NumberField label="Weight" quantity="mass" value={g} onChange={setG} error={error} hint="of the piece" />
      <output>{String(g)}</output>
    </PreferencesContext>
  );
}

const kept = () => Number(screen.getByRole('status').textContent);

test('a weight is kept in grams whatever unit it is typed in, and switching the unit changes what is shown, not what is kept', async () => {
  render(<Weight />);
  await userEvent.type(screen.getByLabelText('Weight'), '1000');
  expect(kept()).toBe(1000);
  await userEvent.click(screen.getByRole('button', { name: 'Weight is in g: switch unit' }));
  expect(kept()).toBe(1000);
  expect(Number(screen.getByLabelText<HTMLInputElement>('Weight').value)).toBeCloseTo(2.205, 2);
  await userEvent.clear(screen.getByLabelText('Weight'));
  await userEvent.type(screen.getByLabelText('Weight'), '2');
  expect(kept()).toBeCloseTo(907.18474, 5);
});

test('a comma is read where the house writes one, and words are no number', async () => {
  setLanguage({ decimal: 'comma', dates: 'dayFirst', clock: '24' });
  render(<Weight />);
  await userEvent.type(screen.getByLabelText('Weight'), '2,5');
  expect(kept()).toBe(2.5);
  await userEvent.type(screen.getByLabelText('Weight'), ' or so');
  expect(kept()).toBeNaN();
  await userEvent.clear(screen.getByLabelText('Weight'));
  expect(screen.getByRole('status').textContent).toBe('undefined');
});

test('what is wrong with a field takes the place of its hint, and is read with it', () => {
  const { rerender } = render(<Weight first={5} />);
  const field = screen.getByLabelText('Weight');
  expect(document.getElementById(field.getAttribute('aria-describedby') ?? '')?.textContent).toBe('of the piece');
  expect(field.getAttribute('aria-invalid')).toBe('false');
  rerender(<Weight first={5} error="More than 0 g, please." />);
  expect(screen.getByRole('alert').textContent).toBe('More than 0 g, please.');
  expect(screen.getByRole('alert').id).toBe(screen.getByLabelText('Weight').getAttribute('aria-describedby'));
  expect(screen.getByLabelText('Weight').getAttribute('aria-invalid')).toBe('true');
  expect(screen.queryByText('of the piece')).toBeNull();
});

test('a list, a tick and words tell what was chosen; a label that is not shown is still the name', async () => {
  const said: unknown[] = [];
  render(
    <>
      <Pick quiet label="Scale" value="1" onChange={(value) => said.push(value)}>
        <option value="1">1 g</option>
        <option value="0.1">0.1 g</option>
      </Pick>
      <Tick label="smoke on" checked={false} onChange={(on) => said.push(on)} />
      <WordsField label="Why" rows={2} value="" maxLength={3} onChange={(text) => said.push(text)} />
    </>,
  );
  await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Scale' }), '0.1 g');
  await userEvent.click(screen.getByRole('checkbox', { name: 'smoke on' }));
  await userEvent.type(screen.getByLabelText('Why'), 'x');
  expect(said).toEqual(['0.1', true, 'x']);
  expect(screen.getByLabelText('Why').tagName).toBe('TEXTAREA');
  expect(screen.getByLabelText('Why').getAttribute('maxlength')).toBe('3');
});

test('a number pad types as the keyboard does, in the house’s own sign, and takes back', async () => {
  const said: (number | undefined)[] = [];
  function Field() {
    const [value, setValue] = useState<number | undefined>(undefined);
    return (
      <NumberField
        big
        label="Core"
        sign="°"
        value={value}
        onChange={(next) => {
          said.push(next);
          setValue(next);
        }}
      />
    );
  }
  render(<Field />);
  await userEvent.click(screen.getByRole('button', { name: 'Number pad for Core' }));
  const pad = await screen.findByRole('dialog', { name: 'Core, number pad' });
  for (const key of ['6', '6', 'Decimal sign', 'Decimal sign', '5', '9', 'Take back']) await userEvent.click(within(pad).getByRole('button', { name: key }));
  expect(said.at(-1)).toBe(66.5);
  await userEvent.click(within(pad).getByRole('button', { name: 'Done' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(screen.getByLabelText('Core')).toHaveProperty('value', '66.5');
});

test('a usual reason is a tap, and goes after what is written already', async () => {
  function Why() {
    const [text, setText] = useState('Had to.');
    return (
      <>
        <output>{text}</output>
        <ReasonChips reasons={['Misread', 'Wrong unit']} written={text} onWrite={setText} />
      </>
    );
  }
  render(<Why />);
  await userEvent.click(screen.getByRole('button', { name: 'Wrong unit' }));
  expect(screen.getByRole('status').textContent).toBe('Had to; Wrong unit');
  expect(screen.queryByRole('button', { name: 'Wrong unit' })).toBeNull();
});

/** @jest-environment jsdom */
import Button from '@mui/material/Button';
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startTransition, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { setLanguage } from '../reader/language';
import { FormDay } from './form/fields';
import { DayField, MomentField } from './MomentField';

beforeAll(() => {
  // A laptop: a calendar has room beside the field.
  window.matchMedia = (media) =>
    Object.assign(new EventTarget(), { matches: true, media, onchange: null, addListener: () => undefined, removeListener: () => undefined });
});
afterEach(() => setLanguage({ decimal: 'point', dates: 'dayFirst', clock: '24' }));

/** The calendar is fetched when a field is first shown. */
const there = (name: string) => screen.findByRole('group', { name }, { timeout: 20_000 });

const said: string[] = [];
beforeEach(() => said.splice(0));

function When({ first }: { first: string }) {
  const [at, setAt] = useState(first);
  return (
    <MomentField
      label="When it was"
      value={at}
      onChange={(next) => {
        said.push(next);
        setAt(next === '' ? '?' : next);
      }}
    />
  );
}

const sections = () => screen.getAllByRole('spinbutton').map(({ textContent }) => textContent);

test('a moment stands as this house writes it: the day first and 24 hours, or the month first and twelve', async () => {
  const { unmount } = render(<When first="2026-12-01T18:05" />);
  await there('When it was');
  expect(sections()).toEqual(['01', 'Dec', '2026', '18', '05']);
  unmount();
  setLanguage({ decimal: 'point', dates: 'monthFirst', clock: '12' });
  render(<When first="2026-12-01T18:05" />);
  await there('When it was');
  expect(sections()).toEqual(['Dec', '01', '2026', '06', '05', 'pm']);
});

test('while a moment is not written to its end there is none, and what was typed stays', async () => {
  render(<When first="2026-12-01T18:05" />);
  await there('When it was');
  const hours = screen.getByRole('spinbutton', { name: 'Hours' });
  await userEvent.click(hours);
  await userEvent.keyboard('{Backspace}');
  expect(said.at(-1)).toBe('');
  expect(sections()).toEqual(['01', 'Dec', '2026', 'hh', '05']);
  await userEvent.click(screen.getByRole('spinbutton', { name: 'Hours' }));
  await userEvent.keyboard('07');
  expect(said.at(-1)).toBe('2026-12-01T07:05');
});

test('a day is kept without an hour', async () => {
  render(<DayField label="Came on" value="2026-11-30" onChange={(day) => said.push(day)} />);
  await there('Came on');
  expect(sections()).toEqual(['30', 'Nov', '2026']);
  await userEvent.click(screen.getByRole('spinbutton', { name: 'Day' }));
  await userEvent.keyboard('{ArrowDown}');
  expect(said.at(-1)).toBe('2026-11-29');
});

test('a year that is being typed is none yet: nothing is worked out for the year 202', async () => {
  render(<When first="2026-12-01T18:05" />);
  await there('When it was');
  await userEvent.click(screen.getByRole('spinbutton', { name: 'Year' }));
  await userEvent.keyboard('2027');
  expect(said.length).toBeGreaterThan(1);
  expect(said.at(-1)).toBe('2027-12-01T18:05');
  expect(new Set(said.slice(0, -1))).toEqual(new Set(['']));
});

/** A page with something beside the field that is worked out at leisure, as the forecast of a new batch is. */
function Beside() {
  const [tick, setTick] = useState(0);
  return (
    <>
      <Button onClick={() => startTransition(() => setTick((now) => now + 1))}>Work it out</Button>
      <output>{tick}</output>
      <When first="2026-12-01T18:05" />
    </>
  );
}

test('what is half typed stays when a key falls just after something beside it was worked out', async () => {
  render(<Beside />);
  await there('When it was');
  const year = screen.getByRole('spinbutton', { name: 'Year' });
  await userEvent.click(year);
  const isTyped = new Promise<void>((resolve) => {
    const seen = new MutationObserver(() => {
      seen.disconnect();
      // A key between what was drawn and what follows upon drawing.
      year.textContent = '2';
      fireEvent.input(year);
      resolve();
    });
    seen.observe(screen.getByRole('status'), { childList: true, characterData: true, subtree: true });
  });
  const surroundings = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean };
  surroundings.IS_REACT_ACT_ENVIRONMENT = false;
  try {
    screen.getByRole('button', { name: 'Work it out' }).click();
    await isTyped;
    await new Promise((resolve) => setTimeout(resolve, 50));
  } finally {
    surroundings.IS_REACT_ACT_ENVIRONMENT = true;
  }
  expect(said).toEqual(['']);
  expect(sections()).toEqual(['01', 'Dec', '0002', '18', '05']);
});

test('a day of a form that began with another is written as it is typed, and empty where it was emptied', async () => {
  let kept: () => unknown = () => undefined;
  function Lot() {
    const form = useForm<{ receivedOn?: string }>({ defaultValues: { receivedOn: '2026-11-24' } });
    kept = () => form.getValues('receivedOn');
    return (
      <FormProvider {...form}>
        <FormDay<{ receivedOn?: string }> name="receivedOn" label="Came on" />
      </FormProvider>
    );
  }
  render(<Lot />);
  await there('Came on');
  await userEvent.click(screen.getByRole('spinbutton', { name: 'Day' }));
  await userEvent.keyboard('23');
  await userEvent.click(screen.getByRole('spinbutton', { name: 'Year' }));
  await userEvent.keyboard('2');
  expect(kept()).toBeUndefined();
  expect(sections()).toEqual(['23', 'Nov', '0002']);
  await userEvent.keyboard('025');
  expect(kept()).toBe('2025-11-23');
  expect(sections()).toEqual(['23', 'Nov', '2025']);
});

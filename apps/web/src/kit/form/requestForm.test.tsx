/** @jest-environment jsdom */
import Button from '@mui/material/Button';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { TabletRequest } from '@bunkhouse/api';
import { FormWords } from './fields';
import { SavingForm } from './SavingForm';
import { homeOf } from '../rulesOf';
import { useRequestForm } from './useRequestForm';

const sent: TabletRequest[] = [];
beforeEach(() => sent.splice(0));

function PutUp() {
  const form = useRequestForm(TabletRequest, {
    first: { name: '' },
    send: async (asked) => void (await Promise.resolve(sent.push(asked))),
  });
  return (
    <SavingForm
      of={form}
      acts={
        <>
          <Button type="submit">Put it up</Button>
          <Button onClick={() => void form.submit({ name: 'Lost' })}>Call it lost</Button>
        </>
      }
    >
      <FormWords<TabletRequest> name="name" label="Name" />
    </SavingForm>
  );
}

const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));

test('what cannot be is told at its field and not sent; mended, it goes', async () => {
  render(<PutUp />);
  await press('Put it up');
  expect(await screen.findByRole('alert')).toBeTruthy();
  expect(sent).toEqual([]);
  await userEvent.type(screen.getByLabelText('Name'), 'By the sink');
  await press('Put it up');
  expect(sent).toMatchObject([{ name: 'By the sink' }]);
  expect(screen.queryByRole('alert')).toBeNull();
});

test('what one button says otherwise holds this once: the next save says what stands in the form', async () => {
  render(<PutUp />);
  await userEvent.type(screen.getByLabelText('Name'), 'By the sink');
  await press('Call it lost');
  await press('Put it up');
  expect(sent.map(({ name }) => name)).toEqual(['Lost', 'By the sink']);
});

test('a fault of something that the form does not show is told over its buttons, not swallowed', async () => {
  function Unsigned() {
    const form = useRequestForm(TabletRequest, {
      first: { name: 'By the sink' },
      send: () => Promise.resolve(),
      also: () => [{ field: 'by', message: 'Nobody is signed in.' }],
    });
    return (
      <SavingForm of={form} acts={<Button type="submit">Put it up</Button>}>
        <FormWords<TabletRequest> name="name" label="Name" />
      </SavingForm>
    );
  }
  render(<Unsigned />);
  await press('Put it up');
  expect((await screen.findByRole('alert')).textContent).toBe('Nobody is signed in.');
});

test.each([
  ['name', ['name'], 'name'],
  ['week', ['week.0.fromMin'], 'week'],
  ['placesC', ['placesC.0', 'placesC'], 'placesC'],
  ['resources.0.closed.1.to', ['resources.0.closed.1.to'], 'resources.0.closed.1.to'],
  ['by', ['name'], 'root'],
  ['names', ['name'], 'root'],
])('a fault at %s of a form that shows %j is told at %s', (field, names, home) => expect(homeOf(field, names)).toBe(home));

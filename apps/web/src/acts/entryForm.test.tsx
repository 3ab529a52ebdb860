/** @jest-environment jsdom */
import Button from '@mui/material/Button';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { LogEntryRequest } from '@bunkhouse/api';
import { HOUR_MS, processFor, replay, usualDesign, type BatchRecord, type HandThermometer, type LogEntry } from '@bunkhouse/core';
import type { Batch } from '../data/batches';
import { speakTo } from '../data/houseLine';
import { FormNumber, FormWords } from '../kit/form/fields';
import { SavingForm } from '../kit/form/SavingForm';
import { FIRST_PREFERENCES, PreferencesContext } from '../reader/preferences';
import { useEntryForm } from './useEntryForm';

const NOW = Date.now();
const record: BatchRecord = {
  id: 'b',
  code: 'T-1',
  design: usualDesign('canadian-bacon', new Date(NOW - HOUR_MS).toISOString()),
  process: processFor('canadian-bacon'),
  entries: [
    {
      id: '00000000-0000-4000-8000-000000000001',
      seq: 7,
      kind: 'done',
      stepId: 'weigh',
      at: new Date(NOW - HOUR_MS / 2).toISOString(),
      recordedAt: new Date(NOW - HOUR_MS / 2).toISOString(),
      by: 'Tess',
      values: { 'greenG:A': 2600 },
    } satisfies LogEntry,
  ],
};
const batch = { record, state: replay(record, NOW) } as unknown as Batch;

const RED: HandThermometer = {
  id: '00000000-0000-4000-8000-0000000000aa',
  name: 'Red',
  size: { kind: 'thermometer', stepC: 0.1 },
  checks: [],
};

interface Water {
  waterC: number | undefined;
  reason: string;
}

function Bath({ thermometer = null, onDone }: { thermometer?: HandThermometer | null; onDone: () => void }) {
  const of = useEntryForm<Water>(batch, {
    first: { waterC: undefined, reason: '' },
    said: ({ waterC, reason }) => ({ kind: 'pit', event: { act: 'bath', waterC: waterC ?? Number.NaN }, ...(reason === '' ? {} : { reason }) }),
    what: () => 'Water',
    thermometer,
    onDone,
  });
  return (
    <SavingForm of={of} acts={<Button type="submit">Log it</Button>}>
      <FormNumber<Water> name="waterC" label="Water" quantity="temperature" />
      <FormWords<Water> name="reason" label="Why" />
    </SavingForm>
  );
}

const sent: LogEntryRequest[] = [];
let answers: { status: number; said: unknown }[] = [];
let putBack: () => void;
beforeEach(() => {
  sent.splice(0);
  answers = [];
  putBack = speakTo({
    ask: (_path, init) => {
      if (init?.body !== undefined) sent.push(JSON.parse(init.body as string) as LogEntryRequest);
      const { status, said } = answers.shift() ?? { status: 201, said: { ...record, createdAt: record.design.startsAt } };
      return Promise.resolve({ ok: status < 400, status, headers: new Headers(), json: () => Promise.resolve(said) } as unknown as Response);
    },
    hear: () => () => undefined,
  });
});
afterEach(() => putBack());

const show = (thermometer: HandThermometer | null = null) => {
  const onDone = jest.fn();
  render(
    <PreferencesContext value={{ ...FIRST_PREFERENCES, name: 'Wren', change: () => undefined }}>
      <Bath thermometer={thermometer} onDone={onDone} />
    </PreferencesContext>,
  );
  return onDone;
};
const type = async (C: string) => {
  await userEvent.clear(screen.getByLabelText('Water'));
  await userEvent.type(screen.getByLabelText('Water'), C);
  await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
};

test('what the log would not have is told at its field by its own rules, and nothing is sent', async () => {
  const onDone = show();
  await type('400');
  expect((await screen.findByRole('alert')).textContent).toMatch(/400/);
  expect(sent).toEqual([]);
  expect(onDone).not.toHaveBeenCalled();
});

test('what is in order goes with who, over which entry, and as the thermometer showed it', async () => {
  const onDone = show(RED);
  await type('62.5');
  await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
  expect(sent).toMatchObject([{ kind: 'pit', event: { act: 'bath', waterC: 62.5 }, by: 'Wren', seen: 7, readWith: RED.id }]);
});

test('what the house refuses stands at the field of its last word; tried again it is the same entry', async () => {
  answers = [{ status: 422, said: { message: 'No.', errors: [{ field: 'event.waterC', message: 'That is no water.' }] } }];
  const onDone = show();
  await type('62.5');
  expect((await screen.findByRole('alert')).textContent).toBe('That is no water.');
  expect(onDone).not.toHaveBeenCalled();
  await type('63');
  await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
  expect(sent.map(({ id }) => id)).toEqual([sent[0]?.id, sent[0]?.id]);
});

test('a refusal of something that the form does not ask stands over its buttons', async () => {
  answers = [{ status: 422, said: { message: 'No.', errors: [{ field: 'by', message: 'Nobody is called that.' }] } }];
  show();
  await type('62.5');
  expect((await screen.findByRole('alert')).textContent).toBe('Nobody is called that.');
});

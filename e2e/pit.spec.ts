import { posted, SimulatedCook, type SimulatedCookOptions } from '@bunkhouse/devices';
import { usualProgram, HOUR_MS } from '@bunkhouse/core';
import { playBatch } from '@bunkhouse/demo';
import type { Page } from '@playwright/test';
import { expect, test } from './test.js';
import { Cook } from './cook.js';

interface OnTheFire {
  id: string;
  /** ms; when the meat went on */
  onMs: number;
  log: (entry: object, at: number) => Promise<void>;
}

const started: string[] = [];

// A cook that nobody watches any more would call on every screen of the tests that follow.
test.afterEach(async ({ page }) => {
  for (const id of started.splice(0))
    await page.request.post(`/api/batches/${id}/log`, {
      data: { id: crypto.randomUUID(), kind: 'ended', reason: 'The test is over', at: new Date().toISOString(), by: 'Tess' },
    });
});

/** A batch played through the API until its meat is on, some hours ago. */
async function onTheFire(page: Page, product: 'ham-bone-in' | 'canadian-bacon', thicknessMm: number, hoursAgo: number): Promise<OnTheFire> {
  const id = crypto.randomUUID();
  const request = {
    id,
    product,
    pieces: [{ greenG: 4200, shape: 'round' as const, thicknessMm, lengthMm: 300 }],
    school: 'equilibrium' as const,
    waterG: 2300,
    saltPercent: 2.2,
    sugarPercent: 0.8,
    nitritePpm: 150,
    ruleSet: 'us' as const,
    cureDays: product === 'ham-bone-in' ? 14 : 7,
    meatScaleStepG: 5,
    cureScaleStepG: 0.1,
    startsAt: new Date(Date.now() - 20 * 24 * HOUR_MS).toISOString(),
    by: 'Tess',
  };
  const play = (startsAt: string) =>
    playBatch({ ...request, startsAt }, { seed: 11, cooks: ['Tess'], idOf: () => crypto.randomUUID(), stopBefore: 'raise', until: Infinity });
  const first = Date.parse(play(request.startsAt).entries.at(-1)?.at ?? '');
  const { request: asked, entries } = play(new Date(Date.parse(request.startsAt) + Date.now() - hoursAgo * HOUR_MS - first).toISOString());
  const post = async (path: string, data: object) => {
    const answer = await page.request.post(path, { data });
    expect(answer.status(), await answer.text()).toBe(201);
  };
  await post('/api/batches', asked);
  started.push(id);
  for (const entry of entries) await post(`/api/batches/${id}/log`, entry);
  const onMs = Date.parse(entries.at(-1)?.at ?? '');
  return { id, onMs, log: (entry, at) => post(`/api/batches/${id}/log`, { id: crypto.randomUUID(), at: new Date(at).toISOString(), by: 'Tess', ...entry }) };
}

/** A simulated thermometer at the open door, running faster than time. */
class Thermometer {
  private s = 0;
  readonly cook: SimulatedCook;

  private constructor(
    private readonly page: Page,
    readonly name: string,
    private readonly token: string,
    private readonly onMs: number,
    options: SimulatedCookOptions,
  ) {
    this.cook = new SimulatedCook(options);
  }

  static async added(page: Page, onMs: number, options: SimulatedCookOptions): Promise<Thermometer> {
    const name = `Thermometer ${crypto.randomUUID().slice(0, 8)}`;
    const channels = ['Grate', 'Core, thick end', 'Core, thin end', 'Rim'].map((own, i) => ({ channel: i + 1, name: own }));
    const answer = await page.request.post('/api/devices', { data: { name, kind: 'thermometer', channels, simulated: true, by: 'Tess' } });
    expect(answer.status()).toBe(201);
    return new Thermometer(page, name, ((await answer.json()) as { token: string }).token, onMs, options);
  }

  /** Reads every half minute until so many hours after the meat went on, and hands it in; ends sooner where the core is there. */
  async until(hours: number, isThere: (coreC: number) => boolean = () => false): Promise<number> {
    const readings = [];
    while (this.s < hours * 3600 && !isThere(this.cook.trueCoreC())) {
      this.s += 30;
      readings.push(...posted([this.cook.next(30)], this.onMs));
    }
    for (let i = 0; i < readings.length; i += 3000) {
      const answer = await this.page.request.post('/api/readings', {
        data: { readings: readings.slice(i, i + 3000) },
        headers: { authorization: `Bearer ${this.token}` },
      });
      expect(answer.status(), await answer.text()).toBe(200);
      expect(((await answer.json()) as { refused: unknown[] }).refused).toEqual([]);
    }
    return this.s / 3600;
  }
}

test('a simulated ham at speed: fuel that runs out, a shallow probe, a stall and the target are each noticed, and it is done by time', async ({ page }) => {
  test.slow();
  const { id, onMs, log } = await onTheFire(page, 'ham-bone-in', 130, 12);
  await log(
    {
      kind: 'replanned',
      reason: 'Cooler, for the crew’s dinner',
      changes: {
        program: [
          { name: 'Smoke', chamberC: 88, medium: 'smoker', smoke: true, pan: true, untilMin: 360, repeats: [{ act: 'fuel', everyMin: 50 }], marks: [] },
          { name: 'Cook', chamberC: 100, medium: 'smoker', smoke: false, pan: true, untilCoreC: 66, repeats: [], marks: [{ act: 'glaze', atCoreC: 54 }] },
        ],
      },
    },
    onMs + 60_000,
  );
  const thermometer = await Thermometer.added(page, onMs, {
    seed: 15,
    diameterMm: 130,
    coreC: 5,
    startC: 84,
    settings: [
      { fromS: 0, C: 88 },
      { fromS: 6 * 3600, C: 100 },
    ],
    doorsS: [],
    shallow: 0.4,
    reseatedS: 4 * 3600,
    fuelOut: { fromS: 2 * 3600, toS: 2.6 * 3600 },
  });
  const cook = await Cook.onDuty(page, new Date(onMs + 10 * 60_000));
  let atH = 10 / 60;
  const goTo = async (hours: number) => {
    await cook.wait(hours - atH);
    atH = hours;
  };
  await page.goto(`/pit/${id}`);
  await page.getByRole('button', { name: 'Hang the probes' }).click();
  const sheet = page.getByRole('dialog');
  const rows = sheet.getByRole('group', { name: thermometer.name });
  await rows.filter({ hasText: 'Grate' }).getByRole('combobox').selectOption('in the chamber');
  await rows.filter({ hasText: 'thick end' }).getByRole('combobox').selectOption('in piece A');
  // The same piece twice is refused in a sentence.
  await rows.filter({ hasText: 'thin end' }).getByRole('combobox').selectOption('in piece A');
  await expect(sheet.getByRole('alert')).toContainText('Two channels cannot both read piece A');
  await rows.filter({ hasText: 'thin end' }).getByRole('combobox').selectOption('not in this cook');
  await sheet.getByRole('button', { name: 'Log the probes' }).click();
  await expect(page.getByRole('region', { name: 'Probes' })).toContainText('Simulated');

  // Fuel out, at two hours: noticed, heard, and logged.
  await thermometer.until(2.5);
  await goTo(2.5);
  const chart = page.getByRole('img', { name: /^Cook since/ });
  await expect(chart).toHaveAccessibleName(/core of piece A \d\d\.\d °C, there at about \d\d:\d\d/, { timeout: 30_000 });
  const fuel = page.getByRole('alert', { name: 'Fuel is running out' });
  await expect(fuel).toContainText('the fuel is running out');
  await fuel.getByRole('button', { name: /^I heard it/ }).click();
  await expect(page.getByRole('status', { name: 'Fuel is running out' })).toContainText('by Wren');
  // The day sheet has it, too.
  const code = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await page.goto('/');
  await page
    .getByRole('region', { name: `At the pit, ${code}` })
    .getByRole('button', { name: 'Log fuel' })
    .click();
  // It is put on for every batch that stands over the same fire.
  const told = page.getByText(/^Fuel added, HB-\d+(, [A-Z]{2}-\d+)* logged/);
  await expect(told).toBeVisible();
  const codes = [...((await told.textContent()) ?? '').matchAll(/[A-Z]{2}-\d+/g)].map(([one]) => one);
  const live = (await (await page.request.get('/api/batches')).json()) as { code: string; entries: { kind: string; event?: { act: string } }[] }[];
  for (const one of codes) expect(live.find(({ code }) => code === one)?.entries.at(-1)).toMatchObject({ kind: 'pit', event: { act: 'fuel' } });
  await page.goto(`/pit/${id}`);
  await thermometer.until(3.9);
  await goTo(3.9);
  await expect(page.getByRole('status', { name: 'Fuel is running out' })).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Told so far' })).toContainText('Fuel is running out');

  // A probe that sits too shallow is found by the check; what it read is not counted.
  const trueC = () => thermometer.cook.trueCoreC();
  const check = async (C: number) => {
    await page.getByRole('button', { name: 'Instant-read check', exact: true }).click();
    const form = page.getByRole('dialog');
    await form.getByRole('button', { name: 'Log the check' }).click();
    await expect(form.getByRole('alert')).toContainText('Read at least one place.');
    await form.getByLabel('Thick end', { exact: true }).fill(C.toFixed(1));
    await form.getByLabel('Middle', { exact: true }).fill((C + 0.6).toFixed(1));
    await form.getByRole('button', { name: 'Log the check' }).click();
    await expect(form).toHaveCount(0);
  };
  await check(trueC());
  await expect(page.getByRole('status', { name: 'Probe reads high' })).toContainText('it may sit too shallow');
  await expect(page.getByRole('region', { name: 'Probes' })).toContainText('counted');
  await page.getByRole('button', { name: 'Log probe seated' }).click();
  await thermometer.until(4.5);
  await goTo(4.5);
  await expect(chart).toHaveAccessibleName(/core of piece A/);
  await check(trueC());
  await expect(page.getByRole('status', { name: 'Probe reads high' })).toHaveCount(0);

  // Raised at six hours, from the list of what is next.
  await thermometer.until(6.1);
  await goTo(6.1);
  const next = page.getByRole('region', { name: 'Next at the pit' });
  await next.getByRole('button', { name: 'Log smoker and core' }).first().click();
  await next.getByLabel('Smoker', { exact: true }).fill('88');
  await next.getByLabel('Core', { exact: true }).fill(trueC().toFixed(1));
  await next.locator('form').getByRole('button', { name: 'Log smoker and core' }).click();
  await expect(next).toContainText('Log core readings');

  // The stall is explained.
  await thermometer.until(7.2);
  await goTo(7.2);
  await expect(page.getByRole('status', { name: 'The core stands' })).toContainText('water that leaves its surface');

  // Near, there, and done by time.
  const hours = await thermometer.until(11.5, (C) => C >= 66.2);
  await goTo(hours + 1 / 60);
  await expect(page.getByRole('status', { name: 'Target is read' })).toContainText('the lowest decides', { timeout: 20_000 });
  await expect(page.getByRole('region', { name: 'Safe by time' })).toContainText(/Done by time at \d\d:\d\d: the lethality sum came to 1/);
  await next.getByRole('button', { name: 'Log core readings' }).click();
  await next.getByLabel('Probe (if read)', { exact: true }).fill('66.3');
  for (const place of ['thick end', 'middle', 'thin end']) await next.getByLabel(`Instant-read, ${place}`, { exact: true }).fill('66.2');
  await next.locator('form').getByRole('button', { name: 'Log core readings' }).click();

  // Off the fire the cook can be played again: at three hours nothing was known of the stall, and the forecast is that of then.
  await expect(page.getByRole('heading', { name: 'The cook', exact: true })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Told so far' })).toContainText('The core stands');
  await page.getByLabel('Play it again').fill('180');
  await expect(page.getByRole('region', { name: 'Told so far' })).not.toContainText('The core stands');
  await expect(chart).toHaveAccessibleName(/core of piece A 4\d\.\d °C, there at about/, { timeout: 20_000 });
});

test('a core that cools too slowly: told before its time is over, failed after it, and kept with what was decided', async ({ page }) => {
  const { id, onMs, log } = await onTheFire(page, 'canadian-bacon', 95, 14);
  const thermometer = await page.request.post('/api/devices', {
    data: { name: `Chill ${id.slice(0, 8)}`, kind: 'thermometer', channels: [{ channel: 1, name: 'Core' }], simulated: true, by: 'Tess' },
  });
  const { device, token } = (await thermometer.json()) as { device: { id: string }; token: string };
  const offMs = onMs + 5 * HOUR_MS;
  await log({ kind: 'pit', event: { act: 'probes', probes: [{ device: device.id, channel: 1, reads: 'A' }] } }, onMs + 60_000);
  await log({ kind: 'done', stepId: 'raise', values: { chamberC: 80, coreC: 40 } }, onMs + 2.5 * HOUR_MS);
  await log({ kind: 'done', stepId: 'core', values: { probeC: 65, instant1C: 64.4, instant2C: 64.1, instant3C: 64.9 } }, offMs);
  await log({ kind: 'done', stepId: 'into-cold', values: { coreC: 62 } }, offMs + 0.5 * HOUR_MS);
  // Falls towards 2 °C, half of the way each six hours: 54 °C after 1.24 h, so that 27 °C is due 6.24 h after it went into the cold.
  const coldMs = offMs + 0.5 * HOUR_MS;
  const hand = async (fromH: number, toH: number) => {
    const readings = Array.from({ length: Math.round((toH - fromH) * 60) }, (_, i) => {
      const h = fromH + i / 60;
      return { channel: 1, at: new Date(coldMs + h * HOUR_MS).toISOString(), C: 2 + 60 * 2 ** (-h / 6) };
    });
    const answer = await page.request.post('/api/readings', { data: { readings }, headers: { authorization: `Bearer ${token}` } });
    expect(answer.status(), await answer.text()).toBe(200);
  };
  await hand(0, 3);
  const cook = await Cook.onDuty(page, new Date(coldMs + 3 * HOUR_MS));
  await page.goto(`/pit/${id}`);
  const chill = page.getByRole('region', { name: 'Chill', exact: true });
  await expect(chill).toContainText('the gates for meat that is cured');
  await expect(chill).toContainText(/It (will|may) not pass as it lies/, { timeout: 30_000 });
  await expect(chill).toContainText('In ice water from now: 27 °C at about');
  // Foil holds the heat: by then it is later still, and a tap takes it back.
  const lies = chill.getByRole('group', { name: 'Piece A lies' });
  await lies.getByRole('button', { name: 'In foil or a bag' }).click();
  await expect(lies.getByRole('button', { name: 'In foil or a bag' })).toHaveAttribute('aria-pressed', 'true');
  await lies.getByRole('button', { name: 'Bare' }).click();
  await expect(lies.getByRole('button', { name: 'Bare' })).toHaveAttribute('aria-pressed', 'true');
  await hand(3, 5.6);
  await cook.wait(2.6);
  await expect(page.getByRole('status', { name: 'Chill gate' })).toContainText('min left to be at 27 °C', { timeout: 20_000 });
  await hand(5.6, 7);
  await cook.wait(1.4);
  const failed = page.getByRole('alert', { name: 'Chill gate' });
  await expect(failed).toContainText('is not shown to be at 27 °C', { timeout: 20_000 });
  await failed.getByRole('button', { name: 'Write what was decided' }).click();
  await failed.getByLabel('What was decided, and by whom').fill('short');
  await failed.getByRole('button', { name: 'Log the decision' }).click();
  await expect(page.getByText('Write what was decided, and by whom.', { exact: true })).toBeVisible();
  await page.getByLabel('What was decided, and by whom').fill('Thrown away after the call with the inspector, Tess');
  await page.getByRole('button', { name: 'Log the decision' }).click();
  await expect(page.getByRole('status', { name: 'Chill gate' })).toContainText('by Wren: Thrown away after the call');
  // It stands in the batch’s own log, and the step’s form still asks for its reason.
  await page.goto(`/batches/${id}`);
  await expect(page.getByRole('region', { name: 'Log', exact: true })).toContainText('Thrown away after the call with the inspector');
  await expect(page.getByRole('region', { name: 'Chill', exact: true })).toContainText('This gate was not met');
});

test('a program is altered by its curve and by hand; one that cannot be is said; a cold smoke is taken over', async ({ page }) => {
  const { id, onMs } = await onTheFire(page, 'canadian-bacon', 85, 1);
  const cook = await Cook.onDuty(page, new Date(onMs + HOUR_MS / 2));
  await page.goto(`/pit/${id}`);
  const program = page.getByRole('region', { name: 'Program', exact: true });
  await program.getByRole('button', { name: 'Change the program' }).click();
  const heat = program.getByRole('slider', { name: 'Smoke, chamber' });
  await heat.focus();
  await page.keyboard.press('PageUp');
  await page.keyboard.press('ArrowUp');
  await expect(heat).toHaveAttribute('aria-valuetext', '86 °C');
  const box = await program.getByRole('slider', { name: 'Cook, chamber' }).boundingBox();
  if (box === null) throw new Error('The curve has a handle.');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 20, { steps: 4 });
  await page.mouse.up();
  const dragged = Number(await program.getByRole('slider', { name: 'Cook, chamber' }).getAttribute('aria-valuenow'));
  expect(dragged).toBeGreaterThan(108);
  await program.getByLabel('Until, after meat on').first().fill('');
  await expect(program.getByRole('alert')).toContainText('Until when, or until which core temperature?');
  await expect(program.getByRole('button', { name: 'Log the new program' })).toBeDisabled();
  await program.getByLabel('Until, after meat on').first().fill('3');
  // Without a connection nothing of it is lost: it is kept on the device, stands at once, and is sent when the house answers.
  await page.route('**/api/batches/*/log', (route) => route.abort());
  await program.getByRole('button', { name: 'Log the new program' }).click();
  await expect(page.getByText(/kept on this device/).first()).toBeVisible();
  await expect(program).toContainText('3 h after the meat is on');
  await page.unroute('**/api/batches/*/log');
  await expect(page.getByText(/kept here|on the way/)).toHaveCount(0, { timeout: 30_000 });
  await expect(program).toContainText('3 h after the meat is on');
  await expect(program).toContainText(`${dragged} °C`);
  await program.getByRole('button', { name: 'Change the program' }).click();
  await program.getByRole('button', { name: 'Cold', exact: true }).click();
  await program.getByRole('button', { name: 'Oven', exact: true }).click();
  await program.getByRole('button', { name: 'Take it' }).click();
  await program.getByRole('button', { name: 'Log the new program' }).click();
  await expect(program).toContainText('Cold smoke');
  await expect(page.getByRole('region', { name: 'Safe by time' })).toContainText('Between 4 °C and 60 °C');
  await cook.press('Undo');
  await expect(program).not.toContainText('Cold smoke');
});

test('sealed in a bath: its water, read at the start and at the end, proves the core, and no bag is pricked', async ({ page }) => {
  const { id, onMs, log } = await onTheFire(page, 'canadian-bacon', 85, 20);
  const program = usualProgram({ smoke: 'low', finish: 'waterBath', targetC: 62 });
  await log({ kind: 'replanned', changes: { program }, reason: 'Finished in the bath' }, onMs + 60_000);
  await log({ kind: 'done', stepId: 'raise', values: { chamberC: 63, coreC: 40 } }, onMs + 3 * HOUR_MS);
  const cook = await Cook.onDuty(page, new Date(onMs + 3.2 * HOUR_MS));
  await page.goto(`/pit/${id}`);
  const readWater = async (shown: string) => {
    await page.getByRole('button', { name: 'Water of the bath' }).click();
    const form = page.getByRole('dialog', { name: 'Water of the bath' });
    await form.getByLabel('Water', { exact: true }).fill(shown);
    await form.getByRole('button', { name: 'Log the water' }).click();
    return form;
  };
  // The thermometer stood in °F.
  const form = await readWater('145');
  await expect(form).toContainText('Did it show 145 °F? That is 62.8 °C.');
  await form.getByLabel('Water', { exact: true }).fill('63');
  await form.getByRole('button', { name: 'Log the water' }).click();
  await expect(form).toHaveCount(0);
  const next = page.getByRole('region', { name: 'Next at the pit' });
  const close = async () => {
    await next.getByRole('button', { name: 'Log core readings' }).first().click();
    await next.locator('form').getByRole('button', { name: 'Log core readings' }).click();
  };
  await close();
  await expect(next).toContainText('neither its core nor its water was read');
  await cook.wait(10);
  await readWater('63');
  await expect(page.getByRole('region', { name: 'Safe by time' })).toContainText('Done by time');
  await next.locator('form').getByRole('button', { name: 'Log core readings' }).click();
  await expect(page.getByText('Off the fire')).toBeVisible();
  await page.goto(`/batches/${id}`);
  await expect(page.getByRole('region', { name: 'Log', exact: true })).toContainText('Water of the bath: 63.0 °C');
  await expect(page.getByRole('region', { name: 'What each piece has shown' })).toContainText('By the water of its bath, as it was read');
});

test('what was met and is not any more: the figure that stood is struck out, with what took it back', async ({ page }) => {
  const { id, onMs, log } = await onTheFire(page, 'canadian-bacon', 85, 10);
  await log({ kind: 'done', stepId: 'raise', values: { chamberC: 82, coreC: 45 } }, onMs + 2.5 * HOUR_MS);
  await log({ kind: 'done', stepId: 'core', values: { instant1C: 66, instant2C: 65, instant3C: 66 } }, onMs + 5 * HOUR_MS);
  await log({ kind: 'done', stepId: 'into-cold', values: { coreC: 58 } }, onMs + 5.4 * HOUR_MS);
  await log({ kind: 'done', stepId: 'gate-first', values: { coreC: 24 } }, onMs + 8 * HOUR_MS);
  await Cook.onDuty(page, new Date(onMs + 9.5 * HOUR_MS));
  await page.goto(`/batches/${id}`);
  const shown = page.getByRole('region', { name: 'What each piece has shown' });
  await expect(shown.getByRole('group', { name: 'Piece A: To come' })).toBeVisible();
  await expect(shown.locator('s')).toHaveCount(0);
  // An hour later the thermometer is put in deeper.
  await log({ kind: 'done', stepId: 'gate-second', values: { coreC: 31 } }, onMs + 9 * HOUR_MS);
  await page.reload();
  const piece = shown.getByRole('group', { name: 'Piece A: Taken back' });
  await expect(piece).toContainText(/Taken back by a later reading of Wren/);
  await expect(piece.locator('s')).toHaveText(/\d h/);
});

import { cookOfDevice, isRunning, seedOf, type WatchedBatch } from './houseCook.js';
import { SimulatedCook } from './simulatedCook.js';
import { SimulatedRefrigerator } from './simulatedRefrigerator.js';
import { SimulatedScale } from './simulatedScale.js';
import { handIn, posted, type PostedReading } from './thermometer.js';

/**
 * Every simulated device of a house, running: thermometers hang where the batches' logs say, loggers in their refrigerators. Each hands in
 * what it would have read since it was last heard, then goes on with the clock. `node run.js http://127.0.0.1:4180 [seconds between readings]`
 */
const [url = 'http://127.0.0.1:4180', every = '10'] = process.argv.slice(2);
const EVERY_S = Math.max(1, Number(every) || 10);
const LOOK_AGAIN_MS = 20_000;
const MOST_AT_ONCE = 2000;
const LOGGER_EVERY_S = 60;
const LOGGED_BEFORE_MS = 16 * 86_400_000;
/** A compressor that fails did so some hours before its logger was added. */
const FAILS_BEFORE_MS = 3 * 3_600_000;

interface Device {
  id: string;
  name: string;
  kind: string;
  createdAt: string;
  simulated: boolean;
  channels: { channel: number; last: { at: string } | null }[];
}

interface Running {
  token: string;
  /** what its cook is made of: another one begins a new cook */
  made: string;
  cook: SimulatedCook | SimulatedRefrigerator | null;
  everyS: number;
  onMs: number;
  atS: number;
  waiting: PostedReading[];
}

/** What this house knows its simulated devices by. */
const KNOWN: Record<string, string> = process.env.BUNKHOUSE_STAND_IN_KEY === undefined ? {} : { 'x-stand-in': process.env.BUNKHOUSE_STAND_IN_KEY };

const running = new Map<string, Running>();

const get = async <T>(path: string): Promise<T> => (await (await fetch(`${url}${path}`, { headers: KNOWN })).json()) as T;

async function look(): Promise<void> {
  const [devices, batches] = await Promise.all([get<Device[]>('/api/devices'), get<WatchedBatch[]>('/api/batches')]);
  for (const device of devices.filter(({ simulated, kind }) => simulated && kind !== 'scale')) {
    const found = device.kind === 'refrigerator' ? refrigeratorOf(device) : cookOfDevice(batches, device.id);
    const made = JSON.stringify(found);
    const before = running.get(device.id);
    if (before?.made === made) continue;
    const token = before?.token ?? (await renewed(device.id));
    if (found === null || ('batchId' in found && !isRunning(found.onMs, Date.now()))) {
      running.set(device.id, { token, made, cook: null, everyS: EVERY_S, onMs: 0, atS: 0, waiting: [] });
      continue;
    }
    const [cook, everyS] = 'batchId' in found ? [new SimulatedCook(found.options), EVERY_S] : [new SimulatedRefrigerator(found.options), LOGGER_EVERY_S];
    const heard = Math.max(0, ...device.channels.map(({ last }) => (last === null ? 0 : Date.parse(last.at))));
    const own: Running = { token, made, cook, everyS, onMs: found.onMs, atS: 0, waiting: [] };
    running.set(device.id, own);
    // What was heard already is played again unsaid: the same seed reads the same.
    while (own.onMs + (own.atS + everyS) * 1000 <= Math.min(heard, Date.now())) {
      cook.next(everyS);
      own.atS += everyS;
    }
  }
}

/** A refrigerator's logger hung there for some weeks before the house came to know it. One whose name says that it fails did so some hours before. */
function refrigeratorOf({ id, name, createdAt }: Device): { onMs: number; options: { seed: number; failsS?: number } } {
  const addedMs = Date.parse(createdAt);
  return {
    onMs: addedMs - LOGGED_BEFORE_MS,
    options: { seed: seedOf(id), ...(/fail/i.test(name) ? { failsS: (LOGGED_BEFORE_MS - FAILS_BEFORE_MS) / 1000 } : {}) },
  };
}

async function renewed(id: string): Promise<string> {
  const answer = await fetch(`${url}/api/devices/${id}/token`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...KNOWN },
    body: JSON.stringify({ by: 'Simulated thermometer' }),
  });
  return ((await answer.json()) as { token: string }).token;
}

async function read(): Promise<void> {
  for (const own of running.values()) {
    if (own.cook === null) continue;
    while (own.onMs + (own.atS + own.everyS) * 1000 <= Date.now()) {
      own.atS += own.everyS;
      own.waiting.push(...posted([own.cook.next(own.everyS)], own.onMs));
      if (own.waiting.length >= MOST_AT_ONCE) own.waiting = await handIn({ url, token: own.token }, own.waiting);
      if (own.waiting.length > MOST_AT_ONCE * 4) break;
    }
    for (let i = 0; own.waiting.length > 0 && i < 8; i += 1) {
      const part = own.waiting.slice(0, MOST_AT_ONCE);
      const left = await handIn({ url, token: own.token }, part);
      own.waiting = [...left, ...own.waiting.slice(MOST_AT_ONCE)];
      if (left.length > 0) break;
    }
  }
}

/** Scales: now and then something is put on, a minute later taken off. */
const scales = new Map<string, { token: string; scale: SimulatedScale; shown: string; tick: number }>();
const LOADED_TICKS = 60;

async function lookAtScales(): Promise<void> {
  for (const { id } of (await get<Device[]>('/api/devices')).filter(({ simulated, kind }) => simulated && kind === 'scale'))
    if (!scales.has(id)) scales.set(id, { token: await renewed(id), scale: new SimulatedScale({ seed: seedOf(id), stepG: 5 }), shown: '', tick: 0 });
}

async function weigh(): Promise<void> {
  for (const [id, own] of scales) {
    own.tick += 1;
    if (own.tick % LOADED_TICKS === 0) own.scale.load((own.tick / LOADED_TICKS) % 2 === 1 ? 2000 + ((seedOf(`${id}${own.tick}`) >>> 0) % 5000) : 0);
    const weight = own.scale.next(1);
    const shown = JSON.stringify(weight);
    // What stands still is said now and then: whoever looks knows that it is still there.
    if (shown === own.shown && own.tick % 10 !== 0) continue;
    own.shown = shown;
    await fetch(`${url}/api/weights`, { method: 'POST', headers: { 'content-type': 'application/json', authorization: `Bearer ${own.token}` }, body: shown });
  }
}

let looked = 0;
for (;;) {
  try {
    if (Date.now() - looked > LOOK_AGAIN_MS) {
      looked = Date.now();
      await look();
      await lookAtScales();
    }
    await read();
    await weigh();
  } catch {
    // The house is away for a moment: its readings are kept and handed in later.
  }
  await new Promise((resolve) => setTimeout(resolve, 1000));
}

import { clear, createStore, get, set } from 'idb-keyval';

/** What is kept on this device for when the house cannot be asked: what the day is worked by, not the book of years. */
const KEPT = [/^\/api\/batches$/, /^\/api\/batches\/[0-9a-f-]{36}$/, /^\/api\/(session|house(\/plan)?)$/, /^\/api\/(recipes|lots|tools|devices|learnt)$/];

const store = typeof indexedDB === 'undefined' ? null : createStore('bunkhouse-last-known', 'answers');
/** What was written last, so that the same is not written every few seconds. */
const written = new Map<string, string>();

const isKept = (path: string): boolean => KEPT.some((pattern) => pattern.test(path));

/** Keeps an answer. A device that is full keeps none, and goes on. */
export async function keepKnown(path: string, answer: unknown): Promise<void> {
  if (store === null || !isKept(path)) return;
  const text = JSON.stringify(answer);
  if (written.get(path) === text) return;
  written.set(path, text);
  await set(path, answer, store).catch(() => undefined);
}

/** Forgets what the house said: whoever comes next finds nothing of it on this device. */
export async function forgetKnown(): Promise<void> {
  written.clear();
  if (store !== null) await clear(store).catch(() => undefined);
}

/** What was answered last to a question, on this device; of one batch, what stood of it in the list of all. */
export async function lastKnown(path: string): Promise<unknown> {
  if (store === null || !isKept(path)) return undefined;
  const own: unknown = await get(path, store).catch(() => undefined);
  if (own !== undefined) return own;
  const [, id] = /^\/api\/batches\/(.+)$/.exec(path) ?? [];
  if (id === undefined) return undefined;
  const all: unknown = await get('/api/batches', store).catch(() => undefined);
  return Array.isArray(all) ? all.find((batch: { id?: unknown }) => batch.id === id) : undefined;
}

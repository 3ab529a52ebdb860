/** @jest-environment node */
import { engage, WorkerDied } from './engage';

/** A worker as far as it is spoken to; what is asked of it is never answered. */
class Silent extends EventTarget {
  ended = false;
  postMessage = () => undefined;
  terminate = () => void (this.ended = true);
}

test('what a worker is asked while it dies is refused, and so is whatever is asked later; it is ended', async () => {
  const worker = new Silent();
  const { of, ask } = engage<{ double: (x: number) => number }>(worker as unknown as Worker);
  const open = of(ask.double(2));
  worker.dispatchEvent(new Event('error'));
  await expect(open).rejects.toBeInstanceOf(WorkerDied);
  await expect(of(ask.double(3))).rejects.toBeInstanceOf(WorkerDied);
  expect(worker.ended).toBe(true);
});

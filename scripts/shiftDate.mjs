// For tests: the clock of this process stands at another time. Every process of a test is moved by the same number of milliseconds, so that
// house, browser and test agree; nothing is moved where none is given.
const offsetMs = Number(process.env.BUNKHOUSE_TEST_OFFSET_MS || 0);

if (offsetMs !== 0 && globalThis.Date.isShifted !== true) {
  const Real = globalThis.Date;
  globalThis.Date = new Proxy(Real, {
    construct: (target, values, as) => Reflect.construct(target, values.length === 0 ? [Real.now() + offsetMs] : values, as),
    apply: () => new Real(Real.now() + offsetMs).toString(),
    get: (target, name) => (name === 'now' ? () => Real.now() + offsetMs : name === 'isShifted' ? true : Reflect.get(target, name)),
  });
}

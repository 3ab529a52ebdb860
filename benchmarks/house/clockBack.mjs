// Loaded before a server: its clock runs so many milliseconds behind, as after a battery was changed.
const behindMs = Number(process.env.BUNKHOUSE_BENCH_BEHIND_MS ?? 0);
const RealDate = Date;
globalThis.Date = class extends RealDate {
  constructor(...args) {
    if (args.length === 0) super(RealDate.now() - behindMs);
    else super(...args);
  }
  static now() {
    return RealDate.now() - behindMs;
  }
};

let aheadMs = 0;

/** Notes how far this device's clock runs ahead of the house's, from an answer's Date header. */
export function noteServerDate(date: string | null): void {
  const at = date === null ? Number.NaN : Date.parse(date);
  if (!Number.isNaN(at)) aheadMs = Math.max(0, Date.now() - at - 1000);
}

/** The time, ms: by this device's clock, but never later than by the house's. */
export const houseTime = (): number => Date.now() - aheadMs;

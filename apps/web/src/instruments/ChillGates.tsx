import type { CoolingState } from '@bunkhouse/core';
import { usePreferences } from '../shell/preferences';
import { inWords } from '../shell/quantities';
import { clockTime, span } from '../shell/times';

const HOUR_MS = 3_600_000;

/** The two gates that a cooling core must pass, against the time allowed. */
export function ChillGates({ gates, now }: { gates: CoolingState[]; now: number }) {
  const preferences = usePreferences();
  const C = (value: number) => inWords(value, 'temperature', preferences, 0);
  return (
    <section className="panel gates" aria-label="Chill gates">
      <div className="ph">
        <h2>Chill gates</h2>
        <span className="aside">by the core readings logged</span>
      </div>
      <ul>
        {gates.map((gate) => {
          const elapsedH = gate.tookH ?? (gate.startedAt === null ? 0 : (now - gate.startedAt) / HOUR_MS);
          const over = elapsedH > gate.limitH;
          return (
            <li key={gate.stepId} className={over ? 'failed' : undefined}>
              <b>
                {C(gate.fromC)} to {C(gate.toC)}
              </b>
              <span>
                {gate.startedAt === null
                  ? gate.lastAbove === null || gate.fromC < 50
                    ? 'not begun'
                    : `${inWords(gate.lastAbove.C, 'temperature', preferences)} at ${clockTime(gate.lastAbove.at)}: must be there by ${clockTime(gate.lastAbove.at + gate.limitH * HOUR_MS)} to be sure`
                  : gate.tookH === null
                    ? `${span(elapsedH * HOUR_MS)} of ${gate.limitH} h, until ${clockTime(gate.startedAt + gate.limitH * HOUR_MS)}`
                    : `took ${span(gate.tookH * HOUR_MS)}, ${over ? 'over' : 'within'} ${gate.limitH} h`}
              </span>
              <progress max={gate.limitH} value={Math.min(elapsedH, gate.limitH)} aria-label={`${C(gate.fromC)} to ${C(gate.toC)}`} />
            </li>
          );
        })}
      </ul>
      <p className="note">FSIS Appendix B, value from memory; times between readings are reckoned, not measured. Check your own code.</p>
    </section>
  );
}

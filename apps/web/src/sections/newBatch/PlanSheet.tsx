import { toDesign, type BatchRequest } from '@bunkhouse/api';
import { STATION_NAMES, STATIONS, type BatchState, type Diffusivity } from '@bunkhouse/core';
import { BrineSheet } from '../../instruments/BrineSheet';
import { FindingStrip } from '../../instruments/FindingStrip';
import { NitriteGauge } from '../../instruments/NitriteGauge';
import { PumpPanel } from '../../instruments/PumpPanel';
import { Readings } from '../../instruments/Readings';
import { Plate } from '../../shell/glyphs';
import { dayAndTime } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import { PullForecast } from './PullForecast';
import { useNeedles } from '../../shell/useNeedles';
import { useProcess } from './useProcess';
import { nameHere } from '../../shell/here';

/** What a design comes to: nitrite, brines, pump, and the days. */
export function PlanSheet({
  request,
  state,
  onTarget,
  onDays,
  onDiffusivity,
}: {
  request: BatchRequest;
  state: BatchState;
  onTarget: (ppm: number) => void;
  onDays: (days: number) => void;
  onDiffusivity: (diffusivity: Diffusivity | undefined) => void;
}) {
  const design = toDesign(request);
  const process = useProcess(request);
  const needles = useNeedles();
  const { figures, findings } = state;
  const { floor, limit, verdict } = figures.nitrite.judgement;
  const right = Math.max(floor, Math.floor(limit * 0.75));
  return (
    <>
      {findings.map((finding) => (
        <FindingStrip key={finding.code} finding={finding} />
      ))}
      {verdict !== 'ok' && request.nitritePpm > 0 && request.nitritePpm !== right && (
        <button type="button" className="btn" onClick={() => onTarget(right)}>
          Aim at {right} ppm instead
        </button>
      )}
      <NitriteGauge nitrite={figures.nitrite} target={request.nitritePpm} ruleSet={request.ruleSet} weighed={false} />
      <div className="figures">
        {figures.brines.map((brine) => (
          <BrineSheet key={brine.brine.id} figures={brine} design={design} process={process} facts={state.facts} />
        ))}
        {figures.pump.length > 0 && <PumpPanel pump={figures.pump} school={design.school} pieces={design.pieces} needles={needles} />}
        <Readings figures={figures} facts={state.facts} />
      </div>
      <PullForecast request={request} state={state} onDays={onDays} onDiffusivity={onDiffusivity} />
      <PlanDates state={state} />
    </>
  );
}

/** The plan from Prep to Pack, a row a station. */
function PlanDates({ state }: { state: BatchState }) {
  const now = useNow();
  return (
    <section className="panel plan-dates" aria-label="Plan">
      <div className="ph">
        <h2>The plan</h2>
        <span className="aside">{state.steps.length} jobs</span>
      </div>
      <ol>
        {STATIONS.map((station) => {
          const steps = state.steps.filter((step) => step.spec.station === station);
          const turns = steps.filter((step) => step.spec.missable);
          return (
            <li key={station} className={`is-${station}`}>
              <Plate station={station} size={24} />
              <b>{STATION_NAMES[station]}</b>
              <ul>
                {steps
                  .filter((step) => !step.spec.missable)
                  .map((step) => (
                    <li key={step.spec.id}>
                      <span>{nameHere(step.spec.title)}</span> <time dateTime={new Date(step.dueAt).toISOString()}>{dayAndTime(step.dueAt, now)}</time>
                    </li>
                  ))}
                {turns.length > 0 && <li>and {turns.length} turns, one a day</li>}
              </ul>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

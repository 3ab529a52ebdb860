import Button from '@mui/material/Button';
import { toDesign, type BatchRequest } from '@bunkhouse/api';
import { STATION_NAMES, STATIONS, type BatchState, type Diffusivity } from '@bunkhouse/core';
import { Panel } from '../../kit/Panel';
import { BrineSheet } from '../../charts/BrineSheet';
import { FindingStrip } from '../../kit/FindingStrip';
import { NitriteGauge } from '../../charts/NitriteGauge';
import { PumpPanel } from '../../charts/PumpPanel';
import { VesselsTable } from '../../kit/VesselsTable';
import { Readings } from '../../kit/Readings';
import { Plate } from '../../kit/glyphs';
import { dayAndTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { PullForecast } from './PullForecast';
import { useNeedles } from '../../acts/useNeedles';
import { useProcess } from './useProcess';
import { nameHere } from '../../reader/here';
import Box from '@mui/material/Box';
import { looks, stationed } from '../../theme/looks';

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
      {verdict !== 'ok' && request.dose === undefined && request.nitritePpm > 0 && request.nitritePpm !== right && (
        <Button onClick={() => onTarget(right)}>Aim at {right} ppm instead</Button>
      )}
      <NitriteGauge nitrite={figures.nitrite} target={design.nitritePpm} ruleSet={request.ruleSet} weighed={false} />
      {state.vessels.length > 1 && (
        <Panel title="Tubs and bags" label="Tubs and bags">
          <VesselsTable vessels={state.vessels} isRub={design.school.kind === 'dryRub'} />
        </Panel>
      )}
      <Box sx={looks.figures}>
        {state.facts.brines.map((brine) => (
          <BrineSheet
            key={brine.id}
            brine={brine}
            figures={figures.brines.find((of) => of.brine.id === brine.id)}
            design={design}
            process={process}
            facts={state.facts}
          />
        ))}
        {figures.pump.length > 0 && <PumpPanel pump={figures.pump} school={design.school} pieces={design.pieces} needles={needles} />}
        <Readings figures={figures} facts={state.facts} />
      </Box>
      <PullForecast request={request} state={state} onDays={onDays} onDiffusivity={onDiffusivity} />
      <PlanDates state={state} />
    </>
  );
}

/** The plan from Prep to Pack, a row a station. */
function PlanDates({ state }: { state: BatchState }) {
  const now = useNow();
  return (
    <Panel title="The plan" aside={<>{state.steps.length} jobs</>} sx={looks.planDates} label="Plan">
      <ol>
        {STATIONS.map((station) => {
          const steps = state.steps.filter((step) => step.spec.station === station);
          const turns = steps.filter((step) => step.spec.missable);
          return (
            <Box component="li" key={station} sx={stationed(station)}>
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
            </Box>
          );
        })}
      </ol>
    </Panel>
  );
}

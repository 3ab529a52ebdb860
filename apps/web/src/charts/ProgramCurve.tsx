import { DAY_MIN } from '@bunkhouse/core';
import type { CookProgram, ProgramPhase } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { usePreferences } from '../reader/preferences';
import { digits, inWords, toShown } from '../reader/quantities';
import { TemperatureAxis } from './TemperatureAxis';
import { useWidth } from '../kit/useWidth';
import Box from '@mui/material/Box';
import { t } from '../theme/tokens';
import { ink } from './ink';

const styles = {
  programCurve: { display: 'block', width: '100%', height: 'auto', padding: '4px 6px 0', touchAction: 'pan-y' },
  phase: { fill: t.station.smoke.wash },
  smoked: { fill: t.station.smoke.main, opacity: 0.28 },
  handle: {
    cursor: 'ns-resize',
    touchAction: 'none',
    '&:focus-visible': { outline: 'none !important', boxShadow: 'none' },
    '&:focus-visible > rect:first-of-type': { stroke: t.focusOut, strokeWidth: 2.5 },
  },
  side: { cursor: 'ew-resize' },
  endLine: { stroke: t.ink, strokeWidth: 1.2, strokeDasharray: '3 3' },
} as const;

const HEIGHT = 190;
const INSET = { top: 20, right: 18, bottom: 26, left: 40 };
/** What ends by a core temperature has no length of its own: it is drawn so long, min. */
const OPEN_MIN = 180;
const STEP_C = 1;
const STEP_MIN = 15;
const COLDEST_C = 0;
const HOTTEST_C = 200;

/** A program as a curve of the chamber: with `onChange`, each phase is dragged up and down and its end to the side, by hand or by keys. */
export function ProgramCurve({ program, present, onChange }: { program: CookProgram; present?: number | null; onChange?: (program: CookProgram) => void }) {
  const preferences = usePreferences();
  const [svg, width] = useWidth<SVGSVGElement>(620);
  const held = useRef<{ i: number; what: 'heat' | 'end' } | null>(null);
  const spans = spansOf(program);
  const endMin = Math.max(60, spans.at(-1)?.toMin ?? 0);
  const x = scaleLinear([0, endMin], [INSET.left, width - INSET.right]);
  const y = scaleLinear([0, Math.max(140, ...program.map(({ chamberC }) => chamberC + 15))], [HEIGHT - INSET.bottom, INSET.top]);
  const change = (i: number, changes: Partial<ProgramPhase>) => onChange?.(program.map((phase, k) => (k === i ? { ...phase, ...changes } : phase)));
  const heat = (i: number, C: number) => change(i, { chamberC: Math.max(COLDEST_C, Math.min(HOTTEST_C, Math.round(C / STEP_C) * STEP_C)) });
  const end = (i: number, min: number) => {
    const least = (spans[i]?.fromMin ?? 0) + STEP_MIN;
    const next = program[i + 1]?.untilMin;
    const most = next === undefined ? 14 * DAY_MIN : next - STEP_MIN;
    change(i, { untilMin: Math.max(least, Math.min(most, Math.round(min / STEP_MIN) * STEP_MIN)) });
  };
  const dragged = (event: PointerEvent<SVGSVGElement>) => {
    if (held.current === null || svg.current === null) return;
    const box = svg.current.getBoundingClientRect();
    const { i, what } = held.current;
    if (what === 'heat') heat(i, y.invert(((event.clientY - box.top) * HEIGHT) / box.height));
    else end(i, x.invert(((event.clientX - box.left) * width) / box.width));
  };
  const hold = (i: number, what: 'heat' | 'end') => (event: PointerEvent<SVGGElement>) => {
    held.current = { i, what };
    (event.currentTarget.ownerSVGElement ?? event.currentTarget).setPointerCapture(event.pointerId);
  };
  const byKeys = (by: (steps: number) => void) => (event: KeyboardEvent) => {
    const steps = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 5, PageDown: -5 }[event.key];
    if (steps === undefined) return;
    event.preventDefault();
    by(steps);
  };
  const hours = Math.floor(endMin / 60);
  const every = Math.max(1, Math.ceil((hours * 46) / width));
  return (
    <Box
      component="svg"
      ref={svg}
      sx={styles.programCurve}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      {...(onChange === undefined ? { role: 'img' as const } : { role: 'group' as const })}
      aria-label={`Program: ${program.map((phase) => `${phase.name} ${inWords(phase.chamberC, 'temperature', preferences, 0)}`).join(', then ')}`}
      onPointerMove={dragged}
      onPointerUp={() => (held.current = null)}
      onPointerCancel={() => (held.current = null)}
    >
      <TemperatureAxis y={y} ticks={y.ticks(4)} left={INSET.left} right={width - INSET.right} />
      {Array.from({ length: Math.floor(hours / every) + 1 }, (_, i) => i * every).map((h) => (
        <text key={h} x={x(h * 60)} y={HEIGHT - 8} textAnchor="middle" {...ink.axis}>
          {h} h
        </text>
      ))}
      {program.map(({ chamberC, smoke, name }, i) => {
        const { fromMin, toMin } = spans[i] ?? { fromMin: 0, toMin: 0 };
        return (
          <g key={i}>
            <rect
              x={x(fromMin)}
              y={y(chamberC)}
              width={Math.max(0, x(toMin) - x(fromMin))}
              height={HEIGHT - INSET.bottom - y(chamberC)}
              {...(smoke ? styles.smoked : styles.phase)}
            />
            <line x1={x(fromMin)} x2={x(toMin)} y1={y(chamberC)} y2={y(chamberC)} stroke={t.station.smoke.ink} strokeWidth={i === present ? 5 : 2.4} />
            {x(toMin) - x(fromMin) > 56 && (
              <text
                x={(x(fromMin) + x(toMin)) / 2}
                y={Math.max(14, y(chamberC) - (onChange === undefined ? 7 : 16))}
                textAnchor="middle"
                {...ink.axis}
                {...ink.over}
              >
                {name} {digits(toShown(chamberC, 'temperature', preferences), 0)}°
              </text>
            )}
          </g>
        );
      })}
      {onChange !== undefined &&
        program.map(({ chamberC, untilMin, name }, i) => {
          const { fromMin, toMin } = spans[i] ?? { fromMin: 0, toMin: 0 };
          return (
            <g key={i}>
              <Box
                component="g"
                role="slider"
                tabIndex={0}
                sx={styles.handle}
                aria-label={`${name}, chamber`}
                aria-valuemin={COLDEST_C}
                aria-valuemax={HOTTEST_C}
                aria-valuenow={chamberC}
                aria-valuetext={inWords(chamberC, 'temperature', preferences, 0)}
                aria-orientation="vertical"
                onPointerDown={hold(i, 'heat')}
                onKeyDown={byKeys((steps) => heat(i, chamberC + steps * STEP_C))}
              >
                <rect x={(x(fromMin) + x(toMin)) / 2 - 22} y={y(chamberC) - 22} width={44} height={44} fill="transparent" />
                <rect x={(x(fromMin) + x(toMin)) / 2 - 13} y={y(chamberC) - 5} width={26} height={10} {...ink.ink} />
              </Box>
              {untilMin !== undefined && i < program.length - 1 && (
                <Box
                  component="g"
                  role="slider"
                  tabIndex={0}
                  sx={[styles.handle, styles.side]}
                  aria-label={`${name}, until`}
                  aria-valuemin={fromMin}
                  aria-valuemax={14 * DAY_MIN}
                  aria-valuenow={untilMin}
                  aria-valuetext={`${digits(untilMin / 60, 2)} h after the meat is on`}
                  onPointerDown={hold(i, 'end')}
                  onKeyDown={byKeys((steps) => end(i, untilMin + steps * STEP_MIN))}
                >
                  <rect x={x(toMin) - 22} y={HEIGHT - INSET.bottom - 30} width={44} height={44} fill="transparent" />
                  <line x1={x(toMin)} x2={x(toMin)} y1={INSET.top} y2={HEIGHT - INSET.bottom} {...styles.endLine} />
                  <rect x={x(toMin) - 5} y={HEIGHT - INSET.bottom - 22} width={10} height={26} {...ink.ink} />
                </Box>
              )}
            </g>
          );
        })}
    </Box>
  );
}

function spansOf(program: CookProgram): { fromMin: number; toMin: number }[] {
  let fromMin = 0;
  return program.map(({ untilMin }) => {
    const toMin = untilMin === undefined ? fromMin + OPEN_MIN : Math.max(untilMin, fromMin + STEP_MIN);
    const span = { fromMin, toMin };
    fromMin = toMin;
    return span;
  });
}

import { usePreferences } from '../reader/preferences';
import { toShown } from '../reader/quantities';
import { ink } from './ink';

/** Lines across a chart at round temperatures, in the unit that is shown. */
export function TemperatureAxis({ y, ticks, left, right }: { y: (C: number) => number; ticks: readonly number[]; left: number; right: number }) {
  const preferences = usePreferences();
  return ticks.map((C) => (
    <g key={C}>
      <line x1={left} x2={right} y1={y(C)} y2={y(C)} {...ink.gridLine} />
      <text x={left - 6} y={y(C) + 4} textAnchor="end" {...ink.axis}>
        {Math.round(toShown(C, 'temperature', preferences))}
      </text>
    </g>
  ));
}

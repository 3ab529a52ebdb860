import { usePreferences } from '../shell/preferences';
import { toShown } from '../shell/quantities';

/** Lines across a chart at round temperatures, in the unit that is shown. */
export function TemperatureAxis({ y, ticks, left, right }: { y: (C: number) => number; ticks: readonly number[]; left: number; right: number }) {
  const preferences = usePreferences();
  return ticks.map((C) => (
    <g key={C}>
      <path d={`M${left} ${y(C)}H${right}`} className="grid-line" />
      <text x={left - 6} y={y(C) + 4} textAnchor="end" className="axis">
        {Math.round(toShown(C, 'temperature', preferences))}
      </text>
    </g>
  ));
}

import { COME_UP } from '@bunkhouse/core';
import { usePreferences } from '../reader/preferences';
import { inWords } from '../reader/quantities';
import { clockTime, span } from '../reader/times';
import { t } from '../theme/tokens';
import { ink } from './ink';

const styles = {
  allowed: { fill: 'none', stroke: t.hair2 },
  over: { fill: t.danger.main },
  post: { stroke: t.ink, strokeWidth: 2.2 },
} as const;

interface ComeUpBarProps {
  /** s after the meat went on: the clock's begin and end (null while it runs), and what it may take */
  clock: { startS: number; endS: number | null; mostS: number };
  nowS: number;
  /** the last second of the chart */
  untilS: number;
  onAt: number;
  x: (s: number) => number;
  y: number;
  isWide: boolean;
}

/** How long a core takes through the warm, against what it may take. */
export function ComeUpBar({ clock: { startS, endS, mostS }, nowS, untilS, onAt, x, y, isWide }: ComeUpBarProps) {
  const preferences = usePreferences();
  const C = (value: number) => inWords(value, 'temperature', preferences, 0);
  const tookS = (endS ?? nowS) - startS;
  const width = (toS: number) => Math.max(1, x(Math.min(untilS, toS)) - x(startS));
  return (
    <g>
      <rect x={x(startS)} y={y} width={width(startS + mostS)} height={8} {...styles.allowed} />
      <rect x={x(startS)} y={y} width={width(startS + tookS)} height={8} {...(tookS > mostS ? styles.over : ink.taken)} />
      <line x1={x(startS)} x2={x(startS)} y1={y - 4} y2={y + 12} {...styles.post} />
      {startS + mostS <= untilS && <line x1={x(startS + mostS)} x2={x(startS + mostS)} y1={y - 4} y2={y + 12} {...styles.post} />}
      <text x={x(startS)} y={y - 6} {...ink.axis} {...ink.over}>
        Come-up {span(tookS * 1000)}
        {isWide && (
          <tspan {...ink.faint}>
            {' '}
            from {C(COME_UP.fromC)} to {C(COME_UP.toC)}, at most {COME_UP.mostH} h, {clockTime(onAt + (startS + mostS) * 1000)}
          </tspan>
        )}
      </text>
    </g>
  );
}

import type { Container, Tub } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { digits, inWords } from '../reader/quantities';
import { usePreferences } from '../reader/preferences';
import { t } from '../theme/tokens';
import { ink } from './ink';

const styles = {
  tubPicture: { width: '100%' },
  teal: { fill: t.station.cure.ink, fontWeight: 600 },
} as const;

const WIDTH = 400;
const SIDE_HEIGHT = 150;
const GAP = 14;

/** The tub from the side and from above, with its pieces, to one scale. */
export function TubPicture({ tub, pieceLengthMm, name }: { tub: Tub; pieceLengthMm: number; name: string }) {
  const preferences = usePreferences();
  const { container, cover, levelMm } = tub;
  if (container === null || cover === null || levelMm === null) return null;
  const longMm = container.shape === 'round' ? container.diameterMm : container.lengthMm;
  const wideMm = container.shape === 'round' ? container.diameterMm : container.widthMm;
  const perMm = Math.min((WIDTH - 90 - GAP) / (longMm * 2), SIDE_HEIGHT / Math.max(container.heightMm, wideMm, cover.levelMm));
  const x = scaleLinear([0, longMm], [4, 4 + longMm * perMm]);
  const floor = SIDE_HEIGHT + 8;
  const y = scaleLinear([0, container.heightMm], [floor, floor - container.heightMm * perMm]);
  const lying = layOut(container, tub.pieces.length, pieceLengthMm, footWidthMm(tub, pieceLengthMm));
  const above = x(longMm) + GAP + 66;
  const highMm = tub.pieces[0]?.heightMm ?? 0;
  const shownLevel = Math.min(levelMm, container.heightMm);
  return (
    <svg
      {...styles.tubPicture}
      viewBox={`0 0 ${WIDTH} ${SIDE_HEIGHT + 26}`}
      role="img"
      aria-label={`${name} in the tub: brine stands ${digits(levelMm, 0)} mm high, ${digits(cover.levelMm, 0)} mm are needed, the rim is at ${digits(container.heightMm, 0)} mm`}
    >
      <rect x={x(0)} y={y(shownLevel)} width={x(longMm) - x(0)} height={floor - y(shownLevel)} fill="var(--bh-palette-brine)" />
      {lying.map((piece, i) => (
        <rect
          key={i}
          x={x(piece.xMm)}
          y={y(highMm)}
          width={piece.longMm * perMm}
          height={highMm * perMm}
          rx={Math.min(14, (highMm * perMm) / 2)}
          fill="var(--bh-palette-fat)"
          stroke={piece.out ? 'var(--bh-palette-danger-main)' : 'var(--bh-palette-ink)'}
          strokeWidth={1.6}
          fillOpacity={0.85}
        />
      ))}
      <line x1={x(0)} x2={x(longMm)} y1={y(shownLevel)} y2={y(shownLevel)} stroke="var(--bh-palette-station-cure-main)" strokeWidth={2.5} />
      <path
        d={`M${x(0)} ${y(container.heightMm)}V${floor}H${x(longMm)}V${y(container.heightMm)}`}
        fill="none"
        stroke="var(--bh-palette-ink)"
        strokeWidth={2.5}
      />
      <path d={`M${x(longMm) + 4} ${y(Math.min(cover.levelMm, container.heightMm * 1.05))}h10`} stroke="var(--bh-palette-ink)" strokeWidth={2} />
      <text x={x(longMm) + 8} y={Math.max(14, y(Math.min(cover.levelMm, container.heightMm * 1.05)) - 5)} {...ink.axisSmall}>
        need {inWords(cover.levelMm, 'length', preferences)}
      </text>
      {Math.abs(y(shownLevel) - y(cover.levelMm)) > 16 && (
        <text x={x(longMm) + 8} y={y(shownLevel) + 5} {...ink.axisSmall} {...styles.teal}>
          is {inWords(levelMm, 'length', preferences)}
        </text>
      )}
      <text x={x(0)} y={SIDE_HEIGHT + 24} {...ink.axisSmall} {...ink.faint}>
        from the side
      </text>
      {container.shape === 'round' ? (
        <circle
          cx={above + (longMm * perMm) / 2}
          cy={floor - (wideMm * perMm) / 2}
          r={(longMm * perMm) / 2}
          fill="var(--bh-palette-brine)"
          stroke="var(--bh-palette-ink)"
          strokeWidth={2.5}
        />
      ) : (
        <rect
          x={above}
          y={floor - wideMm * perMm}
          width={longMm * perMm}
          height={wideMm * perMm}
          fill="var(--bh-palette-brine)"
          stroke="var(--bh-palette-ink)"
          strokeWidth={2.5}
        />
      )}
      {lying.map((piece, i) => (
        <rect
          key={i}
          x={above + piece.xMm * perMm}
          y={floor - wideMm * perMm + piece.yMm * perMm}
          width={piece.longMm * perMm}
          height={piece.wideMm * perMm}
          rx={8}
          fill="var(--bh-palette-fat)"
          fillOpacity={0.85}
          stroke={piece.out ? 'var(--bh-palette-danger-main)' : 'var(--bh-palette-ink)'}
          strokeWidth={1.6}
        />
      ))}
      <text x={above} y={SIDE_HEIGHT + 24} {...ink.axisSmall} {...ink.faint}>
        from above
      </text>
    </svg>
  );
}

/** A piece is as wide as its weight, length and height make it. */
function footWidthMm({ pieces: [piece] }: Tub, lengthMm: number): number {
  if (piece === undefined) return 0;
  return ((piece.massG / (piece.densityGPerML ?? 1.05)) * 1000) / piece.heightMm / lengthMm;
}

interface Lying {
  xMm: number;
  yMm: number;
  longMm: number;
  wideMm: number;
  /** does not find room */
  out: boolean;
}

/** Lays the pieces in rows, turned across where that is the only way in. */
function layOut(container: Container, count: number, longMm: number, wideMm: number): Lying[] {
  const round = container.shape === 'round';
  const inLong = round ? container.diameterMm : container.lengthMm;
  const inWide = round ? container.diameterMm : container.widthMm;
  const turn = longMm > inLong && longMm <= inWide;
  const [long, wide] = turn ? [wideMm, longMm] : [longMm, wideMm];
  const perRow = Math.max(1, Math.floor(inLong / long));
  return Array.from({ length: count }, (_, i) => {
    const row = Math.floor(i / perRow);
    const inRow = Math.min(perRow, count - row * perRow);
    const rows = Math.ceil(count / perRow);
    const xMm = (inLong - inRow * long) / (inRow + 1) + (i % perRow) * (long + (inLong - inRow * long) / (inRow + 1));
    const yMm = (inWide - rows * wide) / (rows + 1) + row * (wide + (inWide - rows * wide) / (rows + 1));
    const corner = Math.hypot(
      Math.max(Math.abs(xMm - inLong / 2), Math.abs(xMm + long - inLong / 2)),
      Math.max(Math.abs(yMm - inWide / 2), Math.abs(yMm + wide - inWide / 2)),
    );
    const out = xMm < -1 || yMm < -1 || xMm + long > inLong + 1 || yMm + wide > inWide + 1 || (round && corner > inLong / 2 + 8);
    return { xMm, yMm, longMm: long, wideMm: wide, out };
  });
}

/** Whether every piece finds room on the floor as it lies. */
export const piecesLie = (tub: Tub, pieceLengthMm: number): boolean =>
  tub.container === null || !layOut(tub.container, tub.pieces.length, pieceLengthMm, footWidthMm(tub, pieceLengthMm)).some((piece) => piece.out);

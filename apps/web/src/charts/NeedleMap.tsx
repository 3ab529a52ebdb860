import { thicknessMm, widthMm, type PumpMap, type Section } from '@bunkhouse/core';
import { atSite } from '../reader/quantities';
import { usePreferences } from '../reader/preferences';
import Box from '@mui/material/Box';
import { ink } from './ink';

const styles = {
  needleMap: {
    width: '100%',
    maxWidth: '560px',
  },
} as const;

const WIDTH = 480;
const HEIGHT = 190;

/** Where the needle goes in: on the section, and along the piece. */
export function NeedleMap({ map, section, lengthMm, mLPerSite }: { map: PumpMap; section: Section; lengthMm: number; mLPerSite: number }) {
  const preferences = usePreferences();
  const wide = widthMm(section);
  const high = thicknessMm(section);
  const perMm = Math.min((WIDTH - 40) / (wide + lengthMm), (HEIGHT - 40) / high);
  const centre = { x: 8 + (wide * perMm) / 2, y: 8 + (high * perMm) / 2 };
  const along = 8 + wide * perMm + 24;
  const across = [...new Set(map.section.map((site) => site.xMm))];
  const both = map.section.some((site) => site.entryYMm < 0);
  return (
    <Box
      component="svg"
      sx={styles.needleMap}
      viewBox={`0 0 ${WIDTH} ${high * perMm + 34}`}
      role="img"
      aria-label={`Needle sites: ${across.length} across, ${map.alongMm.length} along, ${both ? 'from both sides' : 'from one side'}, ${map.sites} in all, ${atSite(mLPerSite, preferences)} at each`}
    >
      {section.shape === 'round' || section.shape === 'ellipse' ? (
        <ellipse
          cx={centre.x}
          cy={centre.y}
          rx={(wide * perMm) / 2}
          ry={(high * perMm) / 2}
          fill="var(--bh-palette-fat)"
          stroke="var(--bh-palette-ink)"
          strokeWidth={1.8}
        />
      ) : (
        <rect x={8} y={8} width={wide * perMm} height={high * perMm} rx={6} fill="var(--bh-palette-fat)" stroke="var(--bh-palette-ink)" strokeWidth={1.8} />
      )}
      {section.bone !== undefined && (
        <circle
          cx={centre.x}
          cy={centre.y}
          r={(section.bone.diameterMm * perMm) / 2}
          fill="var(--bh-palette-bone)"
          stroke="var(--bh-palette-boneEdge)"
          strokeWidth={2}
        />
      )}
      {map.section.map((site) => (
        <g key={`${site.xMm} ${site.entryYMm}`}>
          <line
            x1={centre.x + site.xMm * perMm}
            x2={centre.x + site.xMm * perMm}
            y1={centre.y - site.entryYMm * perMm}
            y2={centre.y - site.tipYMm * perMm}
            stroke={site.atBone ? 'var(--bh-palette-ink)' : 'var(--bh-palette-station-cure-main)'}
            strokeWidth={site.atBone ? 3 : 2}
          />
          <circle
            cx={centre.x + site.xMm * perMm}
            cy={centre.y - site.tipYMm * perMm}
            r={3.4}
            fill={site.atBone ? 'var(--bh-palette-ink)' : 'var(--bh-palette-station-cure-main)'}
          />
        </g>
      ))}
      <rect
        x={along}
        y={8}
        width={lengthMm * perMm}
        height={high * perMm}
        rx={Math.min(26, (high * perMm) / 3)}
        fill="var(--bh-palette-fat)"
        stroke="var(--bh-palette-ink)"
        strokeWidth={1.8}
      />
      {map.alongMm.flatMap((at) =>
        across.map((x) => (
          <path
            key={`${at} ${x}`}
            d={`M${along + at * perMm - 3} ${centre.y - x * (high / wide) * perMm}h6m-3 -3v6`}
            stroke="var(--bh-palette-station-cure-main)"
            strokeWidth={1.8}
          />
        )),
      )}
      <text x={8} y={high * perMm + 28} {...ink.axisSmall} {...ink.faint}>
        the section
      </text>
      <text x={along} y={high * perMm + 28} {...ink.axisSmall} {...ink.faint}>
        from above, {both ? 'and the same from below' : 'one side'}
      </text>
    </Box>
  );
}

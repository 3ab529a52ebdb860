/** A line across the curves at a time, and a ring on each. */
export const ReadAtATime = ({ x, top, floor, dots }: { x: number; top: number; floor: number; dots: readonly { name: string; y: number }[] }) => (
  <g style={{ pointerEvents: 'none' }}>
    <line x1={x} x2={x} y1={top} y2={floor} stroke="var(--bh-palette-ink)" strokeWidth={1.5} strokeDasharray="2 3" />
    {dots.map(({ name, y }) => (
      <circle key={name} cx={x} cy={y} r={5} fill="var(--bh-palette-panel)" stroke="var(--bh-palette-ink)" strokeWidth={2} />
    ))}
  </g>
);

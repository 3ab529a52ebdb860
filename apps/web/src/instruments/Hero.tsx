import type { ReactNode } from 'react';

/** One reading: label above, value, unit, and its doubt. Never a coloured ground. */
export function Hero({
  label,
  value,
  unit,
  doubt,
  size = 'big',
  tone,
  children,
}: {
  label: string;
  value: string;
  unit: string;
  doubt?: string | undefined;
  size?: 'xl' | 'big' | 'md';
  tone?: 'nitrite';
  children?: ReactNode;
}) {
  return (
    <div className="reading">
      <div className="label">{label}</div>
      <div className={`hero ${size}${tone ? ` ${tone}` : ''}`}>
        <span className="num">{value}</span>
        <span className="unit">{unit}</span>
        {doubt !== undefined && <span className="pm">{doubt}</span>}
      </div>
      {children}
    </div>
  );
}

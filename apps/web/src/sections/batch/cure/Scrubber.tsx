import type { CourseMark, CureCourse } from '@bunkhouse/core';
import { digits } from '../../../shell/quantities';

const STOPS: Readonly<Partial<Record<CourseMark['kind'], string>>> = {
  pump: 'the needle',
  meatIn: 'meat in',
  pull: 'the pull',
  soakOut: 'out of the water',
  plate: 'the plate',
};

/** From the pump to the plate. Arrow keys move a tenth of a day, Page keys a day. */
export function Scrubber({ atH, endH, course, onChange }: { atH: number; endH: number; course: CureCourse; onChange: (h: number | null) => void }) {
  const stops = course.marks.flatMap((mark) => {
    const word = STOPS[mark.kind];
    return word === undefined ? [] : [{ ...mark, word }];
  });
  return (
    <div className="scrubber">
      <input
        type="range"
        aria-label="Time in the cure"
        aria-valuetext={`day ${digits(atH / 24, 1)}`}
        min={0}
        max={endH}
        step={2.4}
        value={atH}
        onKeyDown={(event) => {
          const days = event.key === 'PageUp' ? 1 : event.key === 'PageDown' ? -1 : 0;
          if (days === 0) return;
          event.preventDefault();
          onChange(Math.min(endH, Math.max(0, atH + days * 24)));
        }}
        onChange={(event) => onChange(Number(event.target.value))}
      />
      <b className="num">day {digits(atH / 24, 1)}</b>
      <div className="stops">
        <button type="button" className="lnk" onClick={() => onChange(null)}>
          now
        </button>
        {stops.map((mark) => (
          <button key={`${mark.kind}${mark.atH}`} type="button" className="lnk" onClick={() => onChange(Math.min(endH, mark.atH))}>
            {mark.word}
          </button>
        ))}
      </div>
    </div>
  );
}

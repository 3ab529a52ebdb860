import type { Finding } from '@bunkhouse/core';
import { useSay } from '../shell/reader';
import { Glyph } from '../shell/glyphs';

const WORDS = { stop: 'Stop', warn: 'Caution', note: 'Note' } as const;
const MARKS = { stop: 'danger', warn: 'caution', note: 'note' } as const;

/** What the cook must know. Not to be dismissed while it is true. */
export function FindingStrip({ finding }: { finding: Finding }) {
  const say = useSay();
  return (
    <div className={`strip ${finding.level}`} role={finding.level === 'stop' ? 'alert' : 'status'}>
      <span className="w">
        <Glyph name={MARKS[finding.level]} size={22} />
        {WORDS[finding.level]}
      </span>
      <p>{say(finding)}</p>
    </div>
  );
}

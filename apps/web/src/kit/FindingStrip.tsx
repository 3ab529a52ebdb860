import type { Finding } from '@bunkhouse/core';
import { useSay } from '../reader/reader';
import { Strip, type StripLevel } from './Strip';

const LEVELS: Record<Finding['level'], StripLevel> = { stop: 'stop', warn: 'caution', note: 'note' };

/** What the computation has to say. */
export function FindingStrip({ finding }: { finding: Finding }) {
  const say = useSay();
  return (
    <Strip level={LEVELS[finding.level]} role={finding.level === 'stop' ? 'alert' : 'status'}>
      {say(finding)}
    </Strip>
  );
}

import type { Message } from '../say/message.js';

/** Something the cook must know: `stop` means that people get hurt, `warn` asks for thought, `note` informs. */
export interface Finding extends Message {
  level: 'stop' | 'warn' | 'note';
}

const RANK = { stop: 0, warn: 1, note: 2 };

/** The worst first, else as found. */
export const worstFirst = (findings: readonly Finding[]): Finding[] => [...findings].sort((a, b) => RANK[a.level] - RANK[b.level]);

import { may, type PersonalRight, type Role } from '@bunkhouse/api';
import { createContext, useContext } from 'react';

/** Who stands at this device. */
export interface Standing {
  name: string;
  role: Role;
}

/** Filled by the door; behind it there always is somebody. */
export const WhoContext = createContext<Standing>({ name: 'Cook', role: 'reader' });

/** How to unlock this device; null where it is not locked. */
export const LockContext = createContext<(() => void) | null>(null);
export const useUnlock = (): (() => void) | null => useContext(LockContext);

export const useWho = (): Standing => useContext(WhoContext);

/** Whether whoever stands here has a right. The house decides again when it is asked. */
export const useMay = (right: PersonalRight): boolean => may(useContext(WhoContext).role, right);

export const ROLE_WORDS: Record<Role, string> = { head: 'Head cook', cook: 'Cook', helper: 'Helper', reader: 'Reader' };

/** What each may do, in a line. */
export const ROLE_NOTES: Record<Role, string> = {
  head: 'Everything, and the crew, the settings and the backups.',
  cook: 'Starts and changes batches, recipes and stores; decides.',
  helper: 'Logs what was done and puts that right. Plans and decides nothing.',
  reader: 'Looks and prints: an inspector, until a day that you name.',
};

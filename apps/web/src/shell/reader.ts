import type { Message } from '@bunkhouse/core';
import { sayTo } from '@bunkhouse/words';
import { useMemo } from 'react';
import { readerHere } from './here';
import { usePreferences } from './preferences';

/** Says sentences of core and of the house in the units and numbers of whoever holds this device. */
export function useSay(): (message: Message) => string {
  const { system, temperature } = usePreferences();
  return useMemo(() => sayTo(readerHere({ system, temperature })), [system, temperature]);
}

import { ENGLISH, type Message } from '@bunkhouse/core';
import { sayTo, withQuantities } from '@bunkhouse/words';
import { createContext, useContext, useMemo } from 'react';
import { readerHere } from './here';
import { usePreferences } from '../reader/preferences';

/** The sentences that can be said where one is: a section may know more of them. */
export const Sentences = createContext<Readonly<Record<string, string>>>(ENGLISH);

/** Says sentences of core and of the house in the units and numbers of whoever holds this device. */
export function useSay(): (message: Message) => string {
  const { system, temperature } = usePreferences();
  const sentences = useContext(Sentences);
  return useMemo(() => sayTo(readerHere({ system, temperature }), sentences), [system, temperature, sentences]);
}

/** A text of ours with its quantities, `{63 C}`, as whoever holds this device reads them. */
export function useWritten(): (text: string) => string {
  const { system, temperature } = usePreferences();
  return useMemo(() => {
    const reader = readerHere({ system, temperature });
    return (text) => withQuantities(text, reader);
  }, [system, temperature]);
}

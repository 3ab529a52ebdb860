import type { InputError, BenchSheet, Message } from '@bunkhouse/core';
import { createContext, useCallback, useContext, useEffect, useRef, useState } from 'react';
import { useLocation, useSearchParams } from 'react-router';
import { fromAddress, toAddress } from '../../acts/benchAddress';
import { FIELD_NAMES } from './words';

export type ChangeSheet = (part: Partial<BenchSheet>) => void;

interface SheetContext {
  sheet: BenchSheet;
  change: ChangeSheet;
  /** what stands in the way of a result */
  fault: InputError | null;
}

export const Sheet = createContext<SheetContext | null>(null);

export function useSheetContext(): SheetContext {
  const context = useContext(Sheet);
  if (context === null) throw new Error('a field of the bench stands outside its sheet');
  return context;
}

/** How long the hands must rest before the address is written, ms: browsers refuse it at every key. */
const REST_MS = 250;
/** Addresses that may still be on their way. */
const MOST_OWN = 30;
/** What a link carries beside the sheet. */
const CARRIED = ['batch', 'code'];

/** The sheet that stands in the address, and is kept there. */
export function useSheet(): [BenchSheet, ChangeSheet] {
  const [params, setParams] = useSearchParams();
  const { pathname } = useLocation();
  const [sheet, setSheet] = useState(() => fromAddress(params));
  const written = useRef(params.toString());
  // What this page wrote of late, the newest last. The bare address is its own, too: a tap on Bench clears no sheet.
  const own = useRef(['', params.toString()]);
  useEffect(() => {
    const now = params.toString();
    if (now === written.current) return;
    if (own.current.includes(now)) {
      // An address of ours that comes late, while more was typed: the sheet is right, the address follows it.
      setParams(new URLSearchParams(written.current), { replace: true });
      return;
    }
    written.current = now;
    setSheet(fromAddress(params));
  }, [params, setParams]);
  useEffect(() => {
    const timer = setTimeout(() => {
      // Already on the way to another screen, whose files are still coming: to write the address now would call him back.
      if (window.location.pathname !== pathname) return;
      const next = toAddress(sheet);
      for (const key of CARRIED) {
        const value = new URLSearchParams(window.location.search).get(key);
        if (value !== null) next.set(key, value);
      }
      if (next.toString() === written.current) return;
      written.current = next.toString();
      own.current = ['', ...own.current.slice(-MOST_OWN), written.current];
      setParams(next, { replace: true });
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [sheet, setParams, pathname]);
  const change = useCallback<ChangeSheet>((part) => setSheet((was) => ({ ...was, ...part })), []);
  return [sheet, change];
}

/** A fault of a computation, with its field called as the sheet calls it. */
export function faultOf({ field, said }: InputError): Message {
  const named = { ...said.args, field: FIELD_NAMES[field] ?? 'The number' };
  return said.code === 'no-number'
    ? { code: 'number-missing', args: named, message: said.message }
    : { ...said, args: 'field' in said.args ? named : said.args };
}

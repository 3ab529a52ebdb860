import type { ToolCheckRequest, ToolResponse } from '@bunkhouse/api';
import { airPressureHpa, boilingPointC, checkFaults, checkPoints, corrected, type Message, type ToolReading } from '@bunkhouse/core';
import { useState, type FormEvent } from 'react';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { checkTool } from '../../data/tools';
import { NumberField } from '../../instruments/NumberField';
import { usePreferences } from '../../shell/preferences';
import { digits, inWords } from '../../shell/quantities';
import { useSay } from '../../shell/reader';
import { degreesApart } from '../../shell/toolWords';
import { newId } from '../../data/newId';
import { writtenTime } from '../../shell/times';

const ALTITUDE = 'bunkhouse.altitude';
const keptAltitude = (): number | undefined => {
  const m = Number.parseFloat(localStorage.getItem(ALTITUDE) ?? '');
  return Number.isFinite(m) ? m : undefined;
};

/** A tool is held against what is known: ice and water, boiling water, plain water. */
export function CheckTool({ tool, onDone }: { tool: ToolResponse; onDone: () => void }) {
  const preferences = usePreferences();
  const say = useSay();
  const saidOf = (fault: Message | undefined) => fault && say(fault);
  const [id] = useState(() => newId());
  const [said, setSaid] = useState<Partial<Omit<ToolCheckRequest, 'id' | 'at' | 'by'>>>(() => {
    const altitudeM = keptAltitude();
    return altitudeM === undefined ? {} : { altitudeM };
  });
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [tried, setTried] = useState(false);
  const [busy, setBusy] = useState(false);
  const reading = readingOf(tool, said);
  const faults = checkFaults(tool.size, reading);
  const at = (field: string) =>
    (tried ? saidOf(faults.find((fault) => fault.field === field)) : undefined) ?? refusal?.errors.find((error) => error.field === field)?.message;
  const set = (part: typeof said) => {
    setRefusal(null);
    setSaid((was) => ({ ...was, ...part }));
  };
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setTried(true);
    if (faults.length > 0 || busy) return;
    setBusy(true);
    try {
      const { kind: _kind, ...read } = reading;
      await checkTool(tool.id, { id, at: new Date(houseTime()).toISOString(), by: preferences.name, ...read });
      if (said.altitudeM !== undefined) localStorage.setItem(ALTITUDE, String(said.altitudeM));
      onDone();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setRefusal(error);
    } finally {
      setBusy(false);
    }
  };
  const points = faults.length === 0 ? checkPoints(tool.size, reading) : [];
  return (
    <form className="check-tool" noValidate onSubmit={(event) => void send(event)}>
      {tool.size.kind === 'thermometer' ? (
        <>
          <p className="note">
            Crushed ice with just enough water to fill the gaps, stirred, in a tall glass; the tip in the middle, off the wall, until it stands still. Then, if
            it reads that far, in water at a rolling boil.
          </p>
          <div className="lot-fields">
            <NumberField
              big
              label="In ice and water"
              quantity="temperature"
              value={said.iceC}
              onChange={(iceC) => set({ iceC })}
              error={at('iceC')}
              autoFocus
            />
            <NumberField
              label="In boiling water (if tried)"
              quantity="temperature"
              value={said.boilC}
              onChange={(boilC) => set({ boilC })}
              error={at('boilC')}
            />
            <NumberField
              label="The house lies above the sea"
              sign="m"
              decimals={0}
              value={said.altitudeM}
              onChange={(altitudeM) => set({ altitudeM })}
              error={at('altitudeM')}
              hint={boilHint(said.altitudeM, preferences)}
            />
          </div>
        </>
      ) : (
        <>
          <p className="note">Clean of fat, in plain water, distilled if you have it, at the temperature that stands on the stem.</p>
          <div className="lot-fields">
            <NumberField
              big
              label="In plain water it reads"
              decimals={tool.size.kind === 'hydrometer' && tool.size.scale === 'sg60F' ? 4 : 1}
              value={said.waterReads}
              onChange={(waterReads) => set({ waterReads })}
              error={at('waterReads')}
              autoFocus
            />
            <NumberField label="The water has" quantity="temperature" value={said.waterC} onChange={(waterC) => set({ waterC })} error={at('waterC')} />
          </div>
        </>
      )}
      {points.length > 0 && (
        <p className="lead" role="status">
          {tool.size.kind === 'thermometer' && Math.abs(corrected(points, SHOWS_C) - SHOWS_C) < 0.05
            ? `It is right: ${inWords(SHOWS_C, 'temperature', preferences)} counts as it shows.`
            : tool.size.kind === 'thermometer'
              ? `Where it shows ${inWords(SHOWS_C, 'temperature', preferences)}, ${inWords(corrected(points, SHOWS_C), 'temperature', preferences)} counts from now on: ${degreesApart(Math.abs(corrected(points, SHOWS_C) - SHOWS_C), preferences)} ${corrected(points, SHOWS_C) < SHOWS_C ? 'less' : 'more'}.`
              : `From now on ${digits(Math.abs((points[0]?.shown ?? 0) - (points[0]?.should ?? 0)), 3)} are ${(points[0]?.shown ?? 0) > (points[0]?.should ?? 0) ? 'taken off' : 'added'}.`}
        </p>
      )}
      {refusal !== null && (
        <p className="fault" role="alert">
          {refusal.message}
        </p>
      )}
      <div className="words-act">
        <button type="submit" className="btn go" aria-disabled={busy}>
          {busy ? 'Logging...' : 'Log the check'}
        </button>
        <button type="button" className="btn quiet" onClick={onDone}>
          Leave it
        </button>
      </div>
      {tool.checks.length > 0 && (
        <ul className="checks-before">
          {[...tool.checks].reverse().map((check) => (
            <li key={check.id}>
              {writtenTime(check.at, 'D MMM YYYY HH:mm')}, {check.by}:{' '}
              {check.reading.kind === 'thermometer'
                ? [
                    check.reading.iceC === undefined ? '' : `${inWords(check.reading.iceC, 'temperature', preferences)} in ice`,
                    check.reading.boilC === undefined
                      ? ''
                      : `${inWords(check.reading.boilC, 'temperature', preferences)} in boiling water at ${check.reading.altitudeM ?? 0} m`,
                  ]
                    .filter(Boolean)
                    .join(', ')
                : `${check.reading.waterReads} in water at ${inWords(check.reading.waterC, 'temperature', preferences)}`}
            </li>
          ))}
        </ul>
      )}
    </form>
  );
}

/** The reading that is spoken of: at which most pieces are done, °C. */
const SHOWS_C = 63;

function boilHint(altitudeM: number | undefined, preferences: ReturnType<typeof usePreferences>): string {
  if (altitudeM === undefined || !(altitudeM >= -450 && altitudeM <= 5000)) return 'asked for with boiling water';
  return `water boils at ${inWords(boilingPointC(altitudeM), 'temperature', preferences)} there, in ${digits(airPressureHpa(altitudeM), 0)} hPa`;
}

/** What was typed, as a reading of a tool of this kind. What is empty is not there. */
function readingOf({ size }: ToolResponse, { iceC, boilC, altitudeM, waterReads, waterC }: Partial<ToolCheckRequest>): ToolReading {
  if (size.kind === 'hydrometer') return { kind: 'hydrometer', waterReads: waterReads ?? Number.NaN, waterC: waterC ?? Number.NaN };
  return {
    kind: 'thermometer',
    ...(iceC === undefined ? {} : { iceC }),
    ...(boilC === undefined ? {} : { boilC, ...(altitudeM === undefined ? {} : { altitudeM }) }),
  };
}

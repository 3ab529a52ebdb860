import { inWords } from '../../shell/quantities';
import type { DeviceResponse, ToolResponse } from '@bunkhouse/api';
import { checkAt } from '@bunkhouse/core';
import { useState } from 'react';
import { useDevices } from '../../data/readings';
import { useTools } from '../../data/tools';
import { TableHead } from '../../instruments/TableHead';
import { GuideLink } from '../../shell/GuideLink';
import { usePreferences } from '../../shell/preferences';
import { checkInWords, sizeInWords, TOOL_WORDS } from '../../shell/toolWords';
import { useNow } from '../../shell/useNow';
import { CheckTool } from './CheckTool';
import { ToolForm } from './ToolForm';
import { Only } from '../../shell/Only';
import { writtenTime } from '../../shell/times';

/** Thermometers, hydrometers, scales and needles: their sizes, and how far they are off. */
export function Tools() {
  const preferences = usePreferences();
  const { data, error } = useTools();
  const { data: devices = [] } = useDevices();
  const [open, setOpen] = useState<{ id: string; what: 'change' | 'check' } | null>(null);
  const [isWriting, setIsWriting] = useState(false);
  const tools = [...(data ?? [])].sort((a, b) => Number(a.putAway) - Number(b.putAway));
  return (
    <section aria-labelledby="tools-head">
      <div className="page-head stores-next">
        <div>
          <h2 id="tools-head" className="head">
            Thermometers, scales, needles
          </h2>
          <p className="note">
            A thermometer in ice and water shows {inWords(0, 'temperature', preferences, 0)}. What it is off there is taken out of everything that is read with
            it from then on. <GuideLink to="thermometer" of="Checking a thermometer" />
          </p>
        </div>
        {!isWriting && (
          <Only right="plan">
            <button type="button" className="btn" onClick={() => setIsWriting(true)}>
              Write a tool down
            </button>
          </Only>
        )}
      </div>
      {error !== undefined && data === undefined && <p className="fault">The tools cannot be read just now.</p>}
      {isWriting && <ToolForm tool={null} devices={devices} onDone={() => setIsWriting(false)} />}
      {data?.length === 0 && !isWriting && <p className="lead">No tool is written down yet. Begin with the thermometer that decides when a piece is done.</p>}
      {tools.length > 0 && (
        <div className="panel table-scroll" tabIndex={0} role="region" aria-label="Thermometers, scales, needles">
          <table className="book lots">
            <TableHead columns={['Tool', 'What', 'Size', 'Last check', { aloud: 'What to do with it' }]} />
            <tbody>
              {tools.map((tool) => (
                <Tool
                  key={tool.id}
                  tool={tool}
                  devices={devices}
                  open={open?.id === tool.id ? open.what : null}
                  onOpen={(what) => setOpen(what === null ? null : { id: tool.id, what })}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

function Tool({
  tool,
  devices,
  open,
  onOpen,
}: {
  tool: ToolResponse;
  devices: readonly DeviceResponse[];
  open: 'change' | 'check' | null;
  onOpen: (what: 'change' | 'check' | null) => void;
}) {
  const preferences = usePreferences();
  const now = useNow();
  const stands = checkInWords(tool, now, preferences);
  const last = checkAt(tool.checks, Infinity);
  return (
    <>
      <tr className={tool.putAway ? 'put-away' : undefined}>
        <th scope="row">
          {tool.name}
          {tool.putAway && <small> put away</small>}
        </th>
        <td>
          {TOOL_WORDS[tool.size.kind]}
          {channelOf(tool, devices)}
        </td>
        <td>{sizeInWords(tool.size, preferences)}</td>
        <td>
          {stands === null ? (
            '–'
          ) : (
            <>
              {last !== undefined && `${writtenTime(last.at, 'D MMM')}, ${last.by}: `}
              {stands.said}
              {stands.isDue && !tool.putAway && <b className="lot-fault"> check it</b>}
            </>
          )}
        </td>
        <td className="lot-acts">
          {stands !== null && (
            <Only right="record">
              <button
                type="button"
                className="lnk"
                aria-expanded={open === 'check'}
                aria-label={`Check ${tool.name}`}
                onClick={() => onOpen(open === 'check' ? null : 'check')}
              >
                Check it
              </button>
            </Only>
          )}
          <Only right="plan">
            <button
              type="button"
              className="lnk"
              aria-expanded={open === 'change'}
              aria-label={`Change ${tool.name}`}
              onClick={() => onOpen(open === 'change' ? null : 'change')}
            >
              Change
            </button>
          </Only>
        </td>
      </tr>
      {open !== null && (
        <tr className="lot-open">
          <td colSpan={5}>
            {open === 'change' ? <ToolForm tool={tool} devices={devices} onDone={() => onOpen(null)} /> : <CheckTool tool={tool} onDone={() => onOpen(null)} />}
          </td>
        </tr>
      )}
    </>
  );
}

function channelOf({ size }: ToolResponse, devices: readonly DeviceResponse[]): string {
  if (size.kind !== 'thermometer') return '';
  if (size.device === undefined) return ' in the hand';
  const device = devices.find(({ id }) => id === size.device);
  return ` on ${device?.name ?? 'a device'}, channel ${size.channel ?? ''}`;
}

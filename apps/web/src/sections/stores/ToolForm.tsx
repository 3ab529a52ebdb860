import type { DeviceResponse, ToolRequest, ToolResponse } from '@bunkhouse/api';
import type { HydrometerScale, ToolKind, ToolSize } from '@bunkhouse/core';
import { useState, type FormEvent } from 'react';
import { Refusal } from '../../data/request';
import { keepTool } from '../../data/tools';
import { NumberField } from '../../instruments/NumberField';
import { Choice } from '../../shell/Choice';
import { usePreferences } from '../../shell/preferences';
import { FLOAT_WORDS, TOOL_WORDS } from '../../shell/toolWords';
import { SaveOrPutAway } from './SaveOrPutAway';
import { newId } from '../../data/newId';

interface Sizes {
  stepC?: number | undefined;
  channel: string;
  scale: HydrometerScale;
  calibrationC?: number | undefined;
  stepG?: number | undefined;
  mostG?: number | undefined;
  lengthMm?: number | undefined;
  holes?: number | undefined;
}

const FIRST: Sizes = { stepC: 0.1, channel: '', scale: 'salometer', calibrationC: 15.6, holes: 1 };

function sizesOf(size: ToolSize | undefined): Sizes {
  if (size === undefined) return FIRST;
  const { kind: _kind, ...own } = size;
  const channel = size.kind === 'thermometer' && size.device !== undefined ? `${size.device}:${size.channel ?? ''}` : '';
  return { ...FIRST, ...own, channel };
}

/** What the request holds of the sizes, by the kind of the tool. */
function asked(kind: ToolKind, { stepC, channel, scale, calibrationC, stepG, mostG, lengthMm, holes }: Sizes): Partial<ToolRequest> {
  const missing = Number.NaN;
  switch (kind) {
    case 'thermometer': {
      const [device, own] = channel.split(':');
      return { stepC: stepC ?? missing, ...(device === undefined || device === '' ? {} : { device, channel: Number(own) }) };
    }
    case 'hydrometer':
      return { scale, calibrationC: calibrationC ?? missing };
    case 'scale':
      return { stepG: stepG ?? missing, mostG: mostG ?? missing };
    case 'needle':
      return { lengthMm: lengthMm ?? missing, holes: holes ?? missing };
  }
}

/** A tool that is new to the book, or that is put right. */
export function ToolForm({ tool, devices, onDone }: { tool: ToolResponse | null; devices: readonly DeviceResponse[]; onDone: () => void }) {
  const { name: cook } = usePreferences();
  const [id] = useState(() => tool?.id ?? newId());
  const [kind, setKind] = useState<ToolKind>(tool?.size.kind ?? 'thermometer');
  const [name, setName] = useState(tool?.name ?? '');
  const [sizes, setSizes] = useState<Sizes>(() => sizesOf(tool?.size));
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const at = (field: string) => refusal?.errors.find((error) => error.field === field)?.message;
  const change = (part: Partial<Sizes>) => setSizes((was) => ({ ...was, ...part }));
  const send = async (putAway: boolean) => {
    setBusy(true);
    setRefusal(null);
    try {
      await keepTool({ id, kind, name: name.trim(), ...asked(kind, sizes), putAway, by: cook });
      onDone();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setRefusal(error);
    } finally {
      setBusy(false);
    }
  };
  return (
    <form
      className="panel pad lot-form"
      noValidate
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        void send(tool?.putAway ?? false);
      }}
    >
      {tool === null && <Choice label="What it is" value={kind} options={TOOL_WORDS} onChange={setKind} />}
      <div className="lot-fields">
        <label className={`field${at('name') === undefined ? '' : ' wrong'}`}>
          <span className="label">Its name</span>
          <input className="box" value={name} maxLength={40} placeholder="what is written on it" onChange={(event) => setName(event.target.value)} />
          {at('name') !== undefined && <small className="fault">{at('name')}</small>}
        </label>
        <SizeFields kind={kind} sizes={sizes} change={change} at={at} devices={devices} />
      </div>
      <SaveOrPutAway
        what="the tool"
        refusal={refusal}
        busy={busy}
        putAway={tool === null ? null : tool.putAway}
        onPutAway={() => void send(tool?.putAway !== true)}
        onLeave={onDone}
      />
    </form>
  );
}

function SizeFields({
  kind,
  sizes,
  change,
  at,
  devices,
}: {
  kind: ToolKind;
  sizes: Sizes;
  change: (part: Partial<Sizes>) => void;
  at: (field: string) => string | undefined;
  devices: readonly DeviceResponse[];
}) {
  switch (kind) {
    case 'thermometer':
      return (
        <>
          <NumberField label="Its display steps by" sign="°C" decimals={2} value={sizes.stepC} onChange={(stepC) => change({ stepC })} error={at('stepC')} />
          <label className={`field${at('device') === undefined ? '' : ' wrong'}`}>
            <span className="label">Where it reads</span>
            <select className="box" value={sizes.channel} onChange={(event) => change({ channel: event.target.value })}>
              <option value="">in the hand</option>
              {devices
                .filter((device) => device.kind !== 'scale')
                .flatMap(({ id, name, channels }) =>
                  channels.map(({ channel, name: own }) => (
                    <option key={`${id}:${channel}`} value={`${id}:${channel}`}>
                      {name}, {own}
                    </option>
                  )),
                )}
            </select>
            {at('device') !== undefined && <small className="fault">{at('device')}</small>}
          </label>
        </>
      );
    case 'hydrometer':
      return (
        <>
          <label className="field">
            <span className="label">Its scale</span>
            <select className="box" value={sizes.scale} onChange={(event) => change({ scale: event.target.value as HydrometerScale })}>
              {Object.entries(FLOAT_WORDS).map(([scale, word]) => (
                <option key={scale} value={scale}>
                  {word}
                </option>
              ))}
            </select>
          </label>
          <NumberField
            label="Made to be right at"
            quantity="temperature"
            value={sizes.calibrationC}
            onChange={(calibrationC) => change({ calibrationC })}
            error={at('calibrationC')}
            hint="it stands on the stem"
          />
        </>
      );
    case 'scale':
      return (
        <>
          <NumberField label="Steps by" quantity="smallMass" decimals={2} value={sizes.stepG} onChange={(stepG) => change({ stepG })} error={at('stepG')} />
          <NumberField label="Carries up to" quantity="mass" value={sizes.mostG} onChange={(mostG) => change({ mostG })} error={at('mostG')} />
        </>
      );
    case 'needle':
      return (
        <>
          <NumberField
            label="Length in the meat"
            quantity="length"
            value={sizes.lengthMm}
            onChange={(lengthMm) => change({ lengthMm })}
            error={at('lengthMm')}
          />
          <NumberField label="Holes" decimals={0} value={sizes.holes} onChange={(holes) => change({ holes })} error={at('holes')} />
        </>
      );
  }
}

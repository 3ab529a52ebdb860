import Box from '@mui/material/Box';
import { ToolRequest, type DeviceResponse, type ToolResponse } from '@bunkhouse/api';
import type { ToolKind } from '@bunkhouse/core';
import { useFormContext, useWatch } from 'react-hook-form';
import { FormChoice, FormNumber, FormPick, FormWords } from '../../kit/form/fields';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { Pick } from '../../kit/Pick';
import { keepTool } from '../../data/tools';
import { usePreferences } from '../../reader/preferences';
import { FLOAT_WORDS, TOOL_WORDS } from '../../reader/words/toolWords';
import { newId } from '../../data/newId';
import { inColumns } from '../../theme/surfaces';
import { BookedForm } from './BookedForm';

/** Of what size a tool of each kind usually is. */
const USUAL = { stepC: 0.1, scale: 'salometer', calibrationC: 15.6, holes: 1 } as const;

/** What matters of a tool of each kind. */
const SIZES: Record<ToolKind, readonly (keyof ToolRequest)[]> = {
  thermometer: ['stepC', 'device', 'channel'],
  hydrometer: ['scale', 'calibrationC'],
  scale: ['stepG', 'mostG'],
  needle: ['lengthMm', 'holes'],
};

/** A tool that is new to the book, or that is put right. */
export function ToolForm({ tool, devices, onDone }: { tool: ToolResponse | null; devices: readonly DeviceResponse[]; onDone: () => void }) {
  const { name: by } = usePreferences();
  const { kind: first = 'thermometer' as const, ...size } = tool?.size ?? {};
  const form = useRequestForm(ToolRequest, {
    first: { id: tool?.id ?? newId(), kind: first, name: tool?.name ?? '', ...USUAL, ...size, putAway: tool?.putAway ?? false, by },
    send: (asked) => keepTool({ ...ofItsKind(asked), by }),
    onDone,
  });
  const kind = useWatch({ control: form.form.control, name: 'kind' });
  return (
    <BookedForm of={form} what="the tool" putAway={tool?.putAway ?? null} onLeave={onDone}>
      {tool === null && <FormChoice<ToolRequest, ToolKind> name="kind" label="What it is" options={TOOL_WORDS} />}
      <Box sx={inColumns}>
        <FormWords<ToolRequest> name="name" label="Its name" maxLength={40} placeholder="what is written on it" />
        <SizeFields kind={kind} devices={devices} />
      </Box>
    </BookedForm>
  );
}

function ofItsKind({ id, kind, name, putAway, by, ...sizes }: ToolRequest): ToolRequest {
  const own = Object.entries(sizes).filter(([size, value]) => value !== undefined && SIZES[kind].includes(size as keyof ToolRequest));
  return { id, kind, name: name.trim(), putAway, by, ...Object.fromEntries(own) };
}

function SizeFields({ kind, devices }: { kind: ToolKind; devices: readonly DeviceResponse[] }) {
  switch (kind) {
    case 'thermometer':
      return (
        <>
          <FormNumber<ToolRequest> name="stepC" label="Its display steps by" sign="°C" decimals={2} />
          <WhereItReads devices={devices} />
        </>
      );
    case 'hydrometer':
      return (
        <>
          <FormPick<ToolRequest> name="scale" label="Its scale">
            {Object.entries(FLOAT_WORDS).map(([scale, word]) => (
              <option key={scale} value={scale}>
                {word}
              </option>
            ))}
          </FormPick>
          <FormNumber<ToolRequest> name="calibrationC" label="Made to be right at" quantity="temperature" hint="it stands on the stem" />
        </>
      );
    case 'scale':
      return (
        <>
          <FormNumber<ToolRequest> name="stepG" label="Steps by" quantity="smallMass" decimals={2} />
          <FormNumber<ToolRequest> name="mostG" label="Carries up to" quantity="mass" />
        </>
      );
    case 'needle':
      return (
        <>
          <FormNumber<ToolRequest> name="lengthMm" label="Length in the meat" quantity="length" />
          <FormNumber<ToolRequest> name="holes" label="Holes" decimals={0} />
        </>
      );
  }
}

/** In the hand, or the channel of a device. */
function WhereItReads({ devices }: { devices: readonly DeviceResponse[] }) {
  const { control, setValue, formState } = useFormContext<ToolRequest>();
  const [device, channel] = useWatch({ control, name: ['device', 'channel'] });
  const choose = (chosen: string) => {
    const [id, own] = chosen.split(':');
    setValue('device', id === '' ? undefined : id);
    setValue('channel', own === undefined ? undefined : Number(own));
  };
  return (
    <Pick
      label="Where it reads"
      value={device === undefined ? '' : `${device}:${channel ?? ''}`}
      onChange={choose}
      error={formState.errors.device?.message ?? formState.errors.channel?.message}
    >
      <option value="">in the hand</option>
      {devices
        .filter((one) => one.kind !== 'scale')
        .flatMap(({ id, name, channels }) =>
          channels.map(({ channel: own, name: called }) => (
            <option key={`${id}:${own}`} value={`${id}:${own}`}>
              {name}, {called}
            </option>
          )),
        )}
    </Pick>
  );
}

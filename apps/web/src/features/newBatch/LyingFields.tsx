import Box from '@mui/material/Box';
import type { BatchRequest } from '@bunkhouse/api';
import type { VesselKind } from '@bunkhouse/core';
import { useFormContext, useWatch } from 'react-hook-form';
import { Choice } from '../../kit/Choice';
import { Pick } from '../../kit/Pick';
import { vesselName } from '../../reader/words/vesselWords';
import { paired } from '../../theme/surfaces';

/** What several pieces lie in: all in one, or apart, each with its part of the brine. */
export function LyingFields({ count }: { count: number }) {
  const { control, setValue, getValues } = useFormContext<BatchRequest>();
  const [kind, sharedAlike, pieces] = useWatch({ control, name: ['vesselKind', 'sharedAlike', 'pieces'] });
  const choose = (chosen: VesselKind | 'one') => {
    const isApart = chosen !== 'one';
    setValue('vesselKind', isApart ? chosen : undefined);
    if (!isApart) setValue('sharedAlike', undefined);
    getValues('pieces').forEach(({ vessel }, i) => setValue(`pieces.${i}.vessel`, isApart ? (vessel ?? i + 1) : undefined));
  };
  return (
    <>
      <Choice label="They lie" value={kind ?? 'one'} options={{ one: 'In one', tub: 'In tubs', bag: 'In bags' }} onChange={choose} />
      {kind !== undefined && (
        <>
          <Box sx={paired}>
            {pieces.map(({ vessel = 1 }, i) => (
              <Pick
                key={i}
                label={`Piece ${'ABCDEFGHIJKL'[i] ?? ''} lies in`}
                value={String(vessel)}
                onChange={(chosen) => setValue(`pieces.${i}.vessel`, Number(chosen))}
              >
                {Array.from({ length: Math.max(count, vessel) }, (_, n) => (
                  <option key={n} value={String(n + 1)}>
                    {vesselName({ kind }, n + 1)}
                  </option>
                ))}
              </Pick>
            ))}
          </Box>
          <Choice
            label="The brine is shared"
            value={sharedAlike === true ? 'alike' : 'meat'}
            options={{ meat: 'By the meat', alike: 'The same in each' }}
            onChange={(chosen) => setValue('sharedAlike', chosen === 'alike' ? true : undefined)}
          />
        </>
      )}
    </>
  );
}

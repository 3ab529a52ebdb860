import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { padded } from '../../theme/surfaces';
import { Panel } from '../../kit/Panel';
import { useSay } from '../../reader/reader';
import { makingFigures, type BenchSheet, type Making, type Part } from '@bunkhouse/core';
import { HotAndIce } from '../../charts/HotAndIce';
import { Working } from '../../kit/Working';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { SheetNumber } from './SheetNumber';
import { faultOf } from './useSheet';
import { looks } from '../../theme/looks';

const styles = {
  making: { display: 'grid', gap: '6px', '& > .MuiButton-text': { justifySelf: 'start', margin: '6px 0' } },
  trio: { gridTemplateColumns: 'repeat(3, minmax(0, 1fr))' },
} as const;

const MAKING_NAMES: Readonly<Record<Making['id'], string>> = { brine: 'The brine', pickle: 'The pickle', cover: 'The cover' };

/** How much is heated, and how much ice cools it. */
export function MakingPanel({ sheet, making }: { sheet: BenchSheet; making: Part<Making[]> }) {
  const say = useSay();
  const preferences = usePreferences();
  return (
    <Panel title="Hot and ice" aside="ice counts as water" label="Hot and ice">
      <Box sx={padded}>
        {'fault' in making ? (
          <Typography variant="fault">{say(faultOf(making.fault))}</Typography>
        ) : (
          making.value.map((made) => (
            <Box key={made.id} sx={styles.making}>
              {making.value.length > 1 && <Typography variant="label">{MAKING_NAMES[made.id]}</Typography>}
              <HotAndIce split={made.split} hotC={sheet.hotC} coldC={sheet.coldC} />
              <Typography variant="note">
                {made.split.reached
                  ? `Mixed, it stands at ${inWords(made.split.finalC, 'temperature', preferences)}.`
                  : `Not cold enough: even all the rest as ice leaves ${inWords(made.split.finalC, 'temperature', preferences)}. Heat less of the water, or chill it before the meat goes in.`}
                {made.fitsPot ? '' : ` The pot holds no more than ${digits(Math.floor(made.mostPercent), 0)} % of the water as concentrate.`}
                {made.refrigeratorH === null
                  ? ''
                  : ` Without ice it takes about ${hours(made.refrigeratorH)} in the refrigerator to come below ${inWords(4, 'temperature', preferences, 0)}${made.iceBathH === null ? '' : `, ${hours(made.iceBathH)} stirred in an ice bath`}.`}
              </Typography>
              <Working figures={makingFigures(sheet, made)} />
            </Box>
          ))
        )}
        <Box sx={[looks.trio, styles.trio]}>
          <SheetNumber field="concentratePercent" label="Heated" sign="%" />
          <SheetNumber field="hotC" label="Hot" quantity="temperature" />
          <SheetNumber field="coldC" label="Tap" quantity="temperature" />
          <SheetNumber field="targetC" label="Wanted" quantity="temperature" />
          <SheetNumber field="potML" label="Pot" quantity="volume" />
        </Box>
      </Box>
    </Panel>
  );
}

const hours = (h: number): string => (h < 1 ? `${Math.max(5, Math.round((h * 60) / 5) * 5)} min` : `${digits(h, h < 10 ? 1 : 0)} h`);

import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import 'dayjs/locale/en-gb';
import { languageHere, patternIn } from '../../reader/language';
import { DAY, readAloud, ROOM, underneath, useHeld, type PickerProps } from './useHeld';

/** A day, typed or picked, as this house writes it. */
export function DayPicker(props: PickerProps) {
  const { moment, change } = useHeld(props, DAY);
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs} adapterLocale="en-gb" dateFormats={readAloud()}>
      <DatePicker
        label={props.label}
        value={moment}
        onChange={change}
        format={patternIn('D MMM YYYY', languageHere())}
        desktopModeMediaQuery={ROOM}
        slotProps={underneath(props.error)}
      />
    </LocalizationProvider>
  );
}

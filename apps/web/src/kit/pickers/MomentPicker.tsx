import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DateTimePicker } from '@mui/x-date-pickers/DateTimePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import 'dayjs/locale/en-gb';
import { languageHere, patternIn } from '../../reader/language';
import { MOMENT, readAloud, ROOM, underneath, useHeld, type PickerProps } from './useHeld';

/** A day and a time of day, typed or picked, as this house writes them. */
export function MomentPicker(props: PickerProps) {
  const { moment, change } = useHeld(props, MOMENT);
  const language = languageHere();
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs} adapterLocale="en-gb" dateFormats={readAloud()}>
      <DateTimePicker
        label={props.label}
        value={moment}
        onChange={change}
        ampm={language.clock === '12'}
        format={patternIn('D MMM YYYY, HH:mm', language)}
        desktopModeMediaQuery={ROOM}
        slotProps={underneath(props.error)}
      />
    </LocalizationProvider>
  );
}

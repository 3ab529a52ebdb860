import type { Components, Theme } from '@mui/material/styles';
import { Days, Down, Next, Prev } from '../marks';
import { chosen, field, focusIn, line, pop } from '../surfaces';
import { t } from '../tokens';
import { roles } from '../type';

export const dates: Components<Theme> = {
  MuiPickersOutlinedInput: {
    styleOverrides: {
      root: { ...field('MuiPickersOutlinedInput'), padding: '0 0 0 12px' },
      sectionsContainer: { padding: '13px 0', '& span': { ...roles.lead } },
    },
  },
  MuiDateTimePicker: { defaultProps: { slots: { openPickerIcon: Days } } },
  MuiDatePicker: { defaultProps: { slots: { openPickerIcon: Days } } },
  MuiPickersArrowSwitcher: { defaultProps: { slots: { leftArrowIcon: Prev, rightArrowIcon: Next } } },
  MuiPickersTextField: { defaultProps: { fullWidth: true } },
  MuiPickerPopper: { styleOverrides: { paper: pop.paper } },
  MuiPickersCalendarHeader: {
    defaultProps: { slots: { switchViewIcon: Down, leftArrowIcon: Prev, rightArrowIcon: Next } },
    styleOverrides: { root: { margin: '8px 0 4px', minHeight: 44, maxHeight: 44 }, label: roles.head },
  },
  MuiDayCalendar: {
    styleOverrides: {
      weekDayLabel: { ...roles.label, color: t.ink3, width: 44, margin: 0 },
      weekContainer: { margin: 0 },
      slideTransition: { minHeight: 264 },
    },
  },
  MuiDateCalendar: { styleOverrides: { root: { width: 340, maxHeight: 'none', height: 372 } } },
  MuiPickerDay: {
    styleOverrides: {
      root: {
        ...roles.lead,
        '--PickerDay-size': '44px',
        '--PickerDay-horizontalMargin': '0px',
        width: 44,
        height: 44,
        margin: 0,
        borderRadius: 3,
        color: t.ink,
        '&:hover': { background: t.steel },
        '&.Mui-selected, &.Mui-selected:hover, &.Mui-selected:focus': chosen,
        '&.MuiPickerDay-today:not(.Mui-selected)': { border: line(t.ink, 1.5) },
        '&.Mui-disabled': { color: t.ink3, textDecoration: 'line-through' },
        ...focusIn,
      },
    },
  },
  MuiMultiSectionDigitalClockSection: {
    styleOverrides: {
      item: {
        ...roles.lead,
        minWidth: 48,
        minHeight: 44,
        margin: 0,
        borderRadius: 0,
        borderLeft: 0,
        justifyContent: 'center',
        '&.Mui-selected, &.Mui-selected:hover': chosen,
      },
    },
  },
};

import type { SxProps, Theme } from '@mui/material/styles';
import type { Station } from '@bunkhouse/core';
import { fold } from './folds';
import { t } from './tokens';
import { signed, worded } from './type';

type OneStyle = Exclude<SxProps<Theme>, readonly unknown[]>;

/** A part's own styles before those of the place it stands in. */
export const listed = (sx: SxProps<Theme> | undefined) => (Array.isArray(sx) ? (sx as readonly OneStyle[]) : sx === undefined ? [] : [sx as OneStyle]);

/** The colours of a station, for all that stands inside. */
export const stationed = (station: Station) => {
  const { main, on, ink, wash } = t.station[station];
  return { '--st': main, '--st-on': on, '--st-ink': ink, '--st-wash': wash } as const;
};

/** What several screens are made of. */
export const looks = {
  page: { padding: '12px', maxWidth: '1720px', [fold.phone]: { padding: '10px' }, [fold.paper]: { padding: 0, maxWidth: 'none' } },
  lead: { font: worded(18, 26, 400), margin: '12px 0', '& a': { textDecoration: 'underline', textUnderlineOffset: '3px' } },
  head: { font: signed(22, 26, 600), display: 'flex', gap: '8px', alignItems: 'center' },
  keys: { padding: '20px', display: 'grid', gap: '14px', '& dl div': { display: 'flex', gap: '16px', padding: '6px 0' }, '& dt': { width: '70px' } },
  brineSheet: {
    '& table': { width: '100%', borderCollapse: 'collapse' },
    '& th': { textAlign: 'left', font: worded(15, 18, 400), padding: '5px 0 5px 12px' },
    '& th small': { marginLeft: '6px' },
    '& td': { textAlign: 'right', padding: '5px 12px 5px 4px', whiteSpace: 'nowrap' },
    '& tr': { borderBottom: `1px solid ${t.hair}` },
  },
  num: { fontFamily: 'var(--f-sign)', fontWeight: 600, color: t.ink, letterSpacing: '-.003em', whiteSpace: 'nowrap' },
  unit: { fontFamily: 'var(--f-sign)', fontWeight: 500, color: t.ink3 },
  panel: { background: t.panel, border: `1px solid ${t.hair}`, borderRadius: '3px', minWidth: 0, [fold.paper]: { breakInside: 'avoid', marginBottom: '4mm' } },
  book: {
    width: '100%',
    borderCollapse: 'collapse',
    '& th, & td': { padding: '10px 12px', borderBottom: `1px solid ${t.hair}`, whiteSpace: 'nowrap', font: signed(16, 20, 500) },
    '& thead th': { font: signed(13, 16, 600), letterSpacing: '.04em', color: t.ink3, background: t.sunk },
    '& tbody tr': { cursor: 'pointer' },
    '& tbody tr:hover': { background: t.sunk },
  },
  ph: {
    minHeight: '36px',
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: '8px',
    padding: '0 12px',
    borderBottom: `1px solid ${t.hair}`,
    '& h2': { font: signed(17, 20, 600), letterSpacing: '.02em' },
  },
  aside: { font: signed(15, 18, 500), color: t.ink3, textAlign: 'right' },
  besideForm: { display: 'grid', gap: '12px', borderTop: `1px solid ${t.hair}`, paddingTop: '12px', '& h3': { font: signed(19, 22, 600) } },
  wordsForm: { display: 'grid', gap: '10px', marginTop: '10px', width: '100%' },
  inset: { padding: '8px 12px' },
  chillHeroes: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '8px 0',
    padding: '10px 12px 4px',
    alignItems: 'baseline',
    '& > div': { paddingRight: '22px', marginRight: '22px', borderRight: `1px solid ${t.hair2}` },
    '& > div:last-child': { border: 0 },
    [fold.phone]: { '& > div': { paddingRight: '12px', marginRight: '12px' } },
  },
  pieceCode: { font: signed(17, 20, 600), flexBasis: '100%' },
  simulated: {
    display: 'inline-block',
    marginLeft: '8px',
    padding: '0 6px',
    border: `1.5px dashed ${t.line}`,
    font: signed(13, 18, 600),
    letterSpacing: '.05em',
    textTransform: 'uppercase',
    color: t.ink2,
  },
  pad: { padding: '12px', display: 'grid', gap: '12px', '& > .MuiButton-text': { justifySelf: 'start', margin: '2px 0' } },
  atPit: {
    display: 'grid',
    gridTemplateColumns: '30px minmax(0, 1fr) auto',
    gap: '4px 10px',
    alignItems: 'center',
    padding: '9px 10px 9px 12px',
    borderTop: `1px solid ${t.hair}`,
    '&:first-child': { borderTop: 0 },
    '& b': { display: 'block', font: signed(19, 22, 600) },
    '& div span': { font: worded(15, 19, 400), color: t.ink2 },
    '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { minHeight: '54px', minWidth: '124px' },
    [fold.phone]: {
      gridTemplateColumns: '30px minmax(0, 1fr)',
      '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { gridColumn: '1 / -1', minHeight: '60px', width: '100%', fontSize: '20px' },
    },
  },
  figures: { display: 'grid', gap: '10px', gridTemplateColumns: 'repeat(auto-fit, minmax(280px, 1fr))', alignItems: 'start' },
  task: { font: worded(17, 24, 400), maxWidth: '70ch' },
  empty: { padding: '16px 12px', color: t.ink2 },
  said: { display: 'grid', gap: '4px', '& li': { paddingLeft: '12px', borderLeft: `3px solid ${t.hair2}`, font: worded(15, 20, 400) } },
  note: { font: worded(14, 18, 400), color: t.ink2 },
  trio: { display: 'grid', gridTemplateColumns: '1.1fr 1fr 1fr', gap: '12px', alignItems: 'start' },
  fault: { font: worded(14, 18, 500), color: t.danger.ink, marginTop: '4px' },
  /** a number with its unit, as in a reading */
  hero: {
    display: 'flex',
    flexWrap: 'wrap',
    alignItems: 'baseline',
    columnGap: '6px',
    marginTop: '4px',
    '& > span:first-of-type': { fontSize: '26px', lineHeight: 1.06 },
    '& > span + span': { fontSize: '17px' },
  },
  argument: {
    width: '100%',
    borderCollapse: 'collapse',
    '& th, & td': { whiteSpace: 'normal', padding: '7px 10px' },
    '& small': { display: 'block' },
    '& tbody tr': { cursor: 'default !important', background: 'none !important' },
  },
  cautionLine: { padding: '0 2px' },
  pageHead: { display: 'flex', flexWrap: 'wrap', gap: '8px 16px', alignItems: 'end', justifyContent: 'space-between', marginBottom: '12px' },
  calendarActs: { display: 'flex', flexWrap: 'wrap', gap: '8px', alignItems: 'center', '& :is(.MuiStack-root, .MuiFormControl-root)': { minWidth: '240px' } },
  showIt: { [fold.narrow]: { display: 'none' } },
  stores: { display: 'grid', gap: '10px' },
  seek: { width: '320px', maxWidth: '100%' },
  tableScroll: { overflowX: 'auto', position: 'relative' },
  crew: { '& > li': { borderBottom: `1px solid ${t.hair}`, padding: '6px 12px' } },
  crewLine: {
    display: 'grid',
    gridTemplateColumns: 'minmax(110px, 1fr) minmax(90px, .8fr) minmax(0, 2fr) auto',
    gap: '2px 12px',
    alignItems: 'center',
    minHeight: '44px',
    '& b': { font: signed(19, 22, 600), overflowWrap: 'anywhere' },
    '& > span:not(.MuiTypography-note)': { font: signed(16, 20, 500) },
    '& > .MuiButton-text': { gridColumn: '4' },
    '& > b + .MuiTypography-note': { gridColumn: '2 / 4' },
    [fold.middle]: {
      gridTemplateColumns: 'minmax(0, 1fr) auto',
      padding: '6px 0',
      '& > .MuiTypography-note, & > b + .MuiTypography-note': { gridColumn: '1 !important', gridRow: '2' },
      '& > .MuiButton-text': { gridColumn: '2', gridRow: '2', justifySelf: 'end' },
      '& > span:not(.MuiTypography-note)': { textAlign: 'right' },
    },
  },
  planDates: {
    '& > ol > li': {
      display: 'grid',
      gridTemplateColumns: '24px 70px 1fr',
      gap: '0 10px',
      padding: '8px 12px',
      borderTop: `1px solid ${t.hair}`,
      alignItems: 'start',
    },
    '& b': { font: signed(18, 24, 600) },
    '& ul li': { display: 'flex', justifyContent: 'space-between', gap: '12px', font: signed(16, 24, 500) },
    '& time': { color: t.ink2, whiteSpace: 'nowrap' },
  },
  field: { display: 'flex', flexDirection: 'column', gap: '4px', minWidth: 0, border: 0 },
  checkForm: { minWidth: 'min(420px, calc(100vw - 64px))' },
  editProgram: { padding: '10px 12px 12px', display: 'grid', gap: '10px', '& > .MuiButton-text': { justifySelf: 'start' } },
  formatRow: { display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(190px, 1fr))', gap: '10px', alignItems: 'end' },
  lotFault: { color: t.danger.ink, font: signed(15, 20, 600) },
  lotActs: { display: 'flex', flexWrap: 'wrap', gap: '12px 16px', whiteSpace: 'nowrap' },
} as const;

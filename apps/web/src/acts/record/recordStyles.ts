import { fold } from '../../theme/folds';
import { t } from '../../theme/tokens';

/** A step's form: its fields, its button beside or below them, and when it was. */
export const styles = {
  record: { display: 'grid', gap: '12px' },
  short: {
    display: 'flex',
    flexWrap: 'wrap',
    alignItems: 'flex-start',
    '& > :is(.MuiStack-root, .MuiFormControl-root), & > .MuiAlert-root, & > .MuiTypography-fault': { flex: '1 0 100%' },
  },
  fields: { display: 'grid', gap: '12px', gridTemplateColumns: 'repeat(auto-fit, minmax(200px, 1fr))', alignItems: 'start' },
  fieldsInRows: { gridTemplateColumns: 'repeat(auto-fit, minmax(180px, 1fr))', alignItems: 'end' },
  fieldsShort: {
    flex: '1 1 260px',
    gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))',
    maxWidth: '620px',
    '&:not(:has(> :nth-of-type(2)))': { maxWidth: '300px' },
    '&:empty': { display: 'none' },
  },
  weighable: { display: 'grid', gap: '6px', alignContent: 'start' },
  weighableRow: { gridColumnStart: '1' },
  leavesOpen: { borderLeft: `4px solid ${t.line}`, padding: '2px 0 2px 10px', fontSize: '16px', lineHeight: '22px', flex: '1 0 100%' },
  recordAct: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '12px',
    alignItems: 'end',
    '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { flex: '1 1 240px', maxWidth: '520px' },
    [fold.phone]: { '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { minHeight: '60px', fontSize: '22px', width: '100%', maxWidth: 'none' } },
  },
  folded: {
    alignItems: 'center',
    flex: '1 1 auto',
    '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { flex: '1 1 150px' },
    [fold.phone]: { '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { width: 'auto' } },
  },
  /** beside the field of a short step, at the height of its input */
  actBeside: { marginTop: '20px', flex: '1 1 300px', [fold.phone]: { marginTop: 0 } },
  when: { display: 'flex', gap: '12px', alignItems: 'center', color: t.ink2, minHeight: '24px' },
  whenShort: { flex: '1 0 100%', order: 5 },
} as const;

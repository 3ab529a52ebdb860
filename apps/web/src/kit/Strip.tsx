import Alert, { type AlertProps } from '@mui/material/Alert';
import type { ReactNode } from 'react';
import { marks } from '../theme/marks';

export type StripLevel = 'stop' | 'caution' | 'note';

interface StripProps extends Omit<AlertProps, 'severity' | 'icon' | 'color'> {
  level: StripLevel;
  /** in the place of Stop, Caution, Note */
  word?: ReactNode;
}

/** What the cook must know: a mark, a word, and a sentence. Not to be dismissed while it is true. */
export const Strip = ({ level, word, children, ...alert }: StripProps) => (
  <Alert
    {...alert}
    severity={level}
    {...(word === undefined
      ? {}
      : {
          icon: (
            <>
              {marks[level]}
              {word}
            </>
          ),
        })}
  >
    {children}
  </Alert>
);

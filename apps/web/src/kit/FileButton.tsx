import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { ReactNode } from 'react';

const Unseen = styled('input')({ position: 'absolute', inset: 0, width: '100%', opacity: 0, cursor: 'pointer' });

/** A button that asks the device for a file. The same file may be chosen twice. */
export function FileButton({
  accept,
  name,
  busy = false,
  onFile,
  children,
}: {
  accept: string;
  /** what the file is, where the button does not say it */
  name?: string;
  busy?: boolean;
  onFile: (file: File) => void;
  children: ReactNode;
}) {
  return (
    <Button component="label" disabled={busy} role={undefined} tabIndex={-1} sx={{ position: 'relative', justifySelf: 'start' }}>
      {children}
      <Unseen
        type="file"
        accept={accept}
        aria-label={name}
        disabled={busy}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file !== undefined) onFile(file);
          event.target.value = '';
        }}
      />
    </Button>
  );
}

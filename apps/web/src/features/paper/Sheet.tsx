import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Title } from '../../kit/Title';
import { useHouse } from '../../data/batches';
import { Choice } from '../../kit/Choice';
import { looks } from '../../theme/looks';

const styles = {
  paperMore: { display: 'flex', flexWrap: 'wrap', gap: '12px', alignItems: 'start', padding: '12px', marginBottom: '12px' },
} as const;

const SIZE = 'bunkhouse.paper';
export type PaperSize = 'A4' | 'letter';

/** What page the printer holds: kept on this device. */
function usePaperSize(): [PaperSize, (size: PaperSize) => void] {
  const [size, setSize] = useState<PaperSize>(() => (localStorage.getItem(SIZE) === 'letter' ? 'letter' : 'A4'));
  return [
    size,
    (chosen) => {
      localStorage.setItem(SIZE, chosen);
      setSize(chosen);
    },
  ];
}

/** A page to be printed: black on white whatever the screen is, with what it is and whose at its head. */
export function Sheet({
  title,
  aside,
  back,
  margin = '14mm',
  more,
  children,
}: {
  title: string;
  aside: string;
  back: { to: string; word: string };
  margin?: string;
  /** what is chosen before it is printed */
  more?: ReactNode;
  children: ReactNode;
}) {
  const [size, setSize] = usePaperSize();
  const { data: house } = useHouse();
  return (
    <Box className="paper" sx={looks.page}>
      <style>{`@page { size: ${size}; margin: ${margin}; }`}</style>
      <Box className="no-print" sx={looks.pageHead}>
        <div>
          <Title>{title}</Title>
          <Button variant="text" component={Link} to={back.to}>
            {back.word}
          </Button>
        </div>
        <Box sx={acts}>
          <Choice label="Paper" quiet value={size} options={{ A4: 'A4', letter: 'Letter' }} onChange={setSize} />
          <Button variant="contained" onClick={() => window.print()}>
            Print
          </Button>
        </Box>
      </Box>
      {more !== undefined && (
        <Box className="no-print" sx={[looks.panel, styles.paperMore]}>
          {more}
        </Box>
      )}
      <article className={size === 'letter' ? 'sheet is-letter' : 'sheet'} tabIndex={0} aria-label={title}>
        <header className="sheet-head">
          <b>{house?.name ?? 'Bunkhouse'}</b>
          <span>{title}</span>
          <span>{aside}</span>
        </header>
        {children}
      </article>
    </Box>
  );
}

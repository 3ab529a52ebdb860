import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useHouse } from '../../data/batches';
import { Choice } from '../../shell/Choice';

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
    <div className="page paper">
      <style>{`@page { size: ${size}; margin: ${margin}; }`}</style>
      <div className="page-head no-print">
        <div>
          <h1 className="title">{title}</h1>
          <Link className="lnk" to={back.to}>
            {back.word}
          </Link>
        </div>
        <div className="words-act">
          <Choice label="Paper" quiet value={size} options={{ A4: 'A4', letter: 'Letter' }} onChange={setSize} />
          <button type="button" className="btn go" onClick={() => window.print()}>
            Print
          </button>
        </div>
      </div>
      {more !== undefined && <div className="panel no-print paper-more">{more}</div>}
      <article className={`sheet is-${size}`} tabIndex={0} aria-label={title}>
        <header className="sheet-head">
          <b>{house?.name ?? 'Bunkhouse'}</b>
          <span>{title}</span>
          <span>{aside}</span>
        </header>
        {children}
      </article>
    </div>
  );
}

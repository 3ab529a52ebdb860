import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { nitriteLimit, RULE_SETS } from '@bunkhouse/core';
import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { useTour } from '../../acts/tour';
import { Panel } from '../../kit/Panel';
import { Title } from '../../kit/Title';
import { WordsField } from '../../kit/WordsField';
import { ColumnHeads } from '../../kit/ColumnHeads';
import { SCHOOL_WORDS } from '../../reader/words/tradeWords';
import { NUMBERS } from './numbers';
import { Practice } from './Practice';
import { QUESTIONS_OF_THE_TRADE } from './schools';
import { GUIDE } from './words';
import { useWritten } from '../../reader/reader';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed, worded } from '../../theme/type';

const styles = {
  guide: { display: 'grid', gap: '12px', maxWidth: '1100px' },
  guideList: { padding: '8px 12px 12px 32px', '& li': { listStyle: 'square', padding: '4px 0', font: worded(17, 24, 400) } },
  book: { '& tbody tr': { cursor: 'default' }, '& td:last-child': { whiteSpace: 'normal', minWidth: '280px', fontFamily: 'var(--f-text)' } },
  guideTerms: {
    '& > div': { padding: '10px 12px', borderTop: `1px solid ${t.hair}` },
    '& dt': { font: signed(18, 22, 600) },
    '& dd': { font: worded(16, 23, 400), maxWidth: '80ch' },
    '& > div:focus': { outline: 'none' },
  },
  asked: { boxShadow: `inset 5px 0 0 ${t.ink}`, background: t.sunk },
  disputed: { '& td': { whiteSpace: 'normal !important', fontFamily: 'var(--f-text) !important', minWidth: '150px !important' } },
} as const;

/** The cautions, the rule sets, where the numbers come from, the schools, the terms, and exercises. */
export function Guide() {
  const { hash } = useLocation();
  const go = useTour(({ go: next }) => next);
  const [sought, setSought] = useState('');
  const place = hash.slice(1);
  useEffect(() => {
    const paragraph = place === '' ? null : document.getElementById(place);
    paragraph?.scrollIntoView({ block: 'center' });
    paragraph?.focus({ preventScroll: true });
  }, [place]);
  const write = useWritten();
  const words = sought.trim().toLowerCase().split(/\s+/);
  const says = (...texts: string[]) => words.every((word) => write(texts.join(' ')).toLowerCase().includes(word));
  const cautions = GUIDE.cautions.filter((caution) => says(caution));
  const schools = Object.values(SCHOOL_WORDS).filter((own) => says(...own));
  const questions = QUESTIONS_OF_THE_TRADE.filter((own) => says(own.asks, own.answers, own.ours, own.where));
  const terms = GUIDE.terms.filter((own) => says(...own));
  const numbers = NUMBERS.filter(({ title, says: text, source }) => says(title, ...text, source));
  const rules = Object.values(RULE_SETS).filter(({ name, source }) => says('rules nitrite limit floor', name, source));
  const found = cautions.length + schools.length + questions.length + terms.length + rules.length + numbers.length;
  return (
    <Box sx={[looks.page, styles.guide]}>
      <Box sx={looks.pageHead}>
        <Title>Guide</Title>
        <WordsField label="Find" type="search" value={sought} placeholder="a word of the trade, a rule, a source" onChange={setSought} sx={looks.seek} />
        <Button onClick={() => go(0)}>Look round the house: two minutes</Button>
      </Box>
      {found === 0 && (
        <Box component="p" sx={looks.lead}>
          The Guide says nothing of that.
        </Box>
      )}
      {cautions.length > 0 && (
        <Panel title="Cautions">
          <Box component="ul" sx={styles.guideList}>
            {cautions.map((caution) => (
              <li key={caution}>{write(caution)}</li>
            ))}
          </Box>
        </Panel>
      )}
      {rules.length > 0 && (
        <Panel title="Rule sets for ingoing nitrite" aside="ppm as sodium nitrite">
          <Box sx={looks.tableScroll} tabIndex={0} role="region" aria-label="Rule sets">
            <Table sx={[looks.book, styles.book]}>
              <ColumnHeads columns={['Rules', { numbers: 'Floor' }, { numbers: 'Limit, pumped or immersed' }, { numbers: 'Belly bacon' }, 'Source']} />
              <TableBody>
                {rules.map((set) => (
                  <TableRow key={set.name}>
                    <TableCell component="th" scope="row">
                      {set.name}
                    </TableCell>
                    <TableCell align="right">{set.floor}</TableCell>
                    <TableCell align="right">{nitriteLimit(set, 'ham-bone-in', 'pumped', false)}</TableCell>
                    <TableCell align="right">{nitriteLimit(set, 'belly-bacon', 'pumped', false)}</TableCell>
                    <TableCell>{set.source}. Check your own code.</TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
          </Box>
        </Panel>
      )}
      {numbers.length > 0 && (
        <Panel title="Where the numbers come from">
          <Box component="dl" sx={styles.guideTerms}>
            {numbers.map(({ place: id, title, says: text, source }) => (
              <Box key={id} id={id} tabIndex={-1} sx={[id === place && styles.asked]}>
                <dt>{title}</dt>
                {text.map((sentence) => (
                  <dd key={sentence}>{write(sentence)}</dd>
                ))}
                <Typography variant="note" component="dd">
                  Source: {write(source)}.
                </Typography>
              </Box>
            ))}
          </Box>
        </Panel>
      )}
      {questions.length > 0 && (
        <Panel title="On what cooks disagree" aside="all of it can be chosen">
          <Box sx={looks.tableScroll} tabIndex={0} role="region" aria-label="On what cooks disagree">
            <Table sx={[looks.book, styles.book, styles.disputed]}>
              <ColumnHeads columns={['Question', 'What is done', 'Proposed here, and why', 'Chosen in']} />
              <TableBody>
                {questions.map(({ asks, answers, ours, where }) => (
                  <TableRow key={asks}>
                    <TableCell component="th" scope="row">
                      {asks}
                    </TableCell>
                    <TableCell>{write(answers)}</TableCell>
                    <TableCell>{write(ours)}</TableCell>
                    <TableCell>{where}</TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
          </Box>
        </Panel>
      )}
      <Terms title="How to dose: the schools" terms={schools} />
      <Terms title="Words of the trade" terms={terms} />
      {sought.trim() === '' && <Practice />}
    </Box>
  );
}

function Terms({ title, terms }: { title: string; terms: readonly (readonly [string, string])[] }) {
  const write = useWritten();
  if (terms.length === 0) return null;
  return (
    <Panel title={title}>
      <Box component="dl" sx={styles.guideTerms}>
        {terms.map(([name, text]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{write(text)}</dd>
          </div>
        ))}
      </Box>
    </Panel>
  );
}

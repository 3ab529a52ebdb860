import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import type { BenchSheet, RecipeAudit } from '@bunkhouse/core';
import { Panel } from '../../kit/Panel';
import { digits, inWords } from '../../reader/quantities';
import { ColumnHeads } from '../../kit/ColumnHeads';
import { useSay } from '../../reader/reader';
import { usePreferences } from '../../reader/preferences';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  here: { '&& > *': { fontWeight: 600, background: t.sunk, boxShadow: `inset 0 2px 0 ${t.hair2}` } },
  bad: { '&&': { color: t.danger.ink, fontWeight: 600 } },
} as const;

const VERDICTS = { ok: 'inside', over: 'OVER', under: 'under' } as const;

/** What settles the argument: every school's dose for the same meat and water. */
export function Schools({ audit }: { audit: RecipeAudit }) {
  const say = useSay();
  const preferences = usePreferences();
  const { applies } = audit.nitrite;
  const has = audit.cureWithMeatG;
  if (audit.schools.length === 0) return null;
  return (
    <Panel title="What the schools would weigh" aside="same meat, same water" label="What the schools would weigh">
      <Table sx={[looks.book, looks.argument]}>
        <ColumnHeads columns={['School', { numbers: 'Cure' }, { numbers: 'If left until even' }]} />
        <TableBody>
          {audit.schools.map((dose) => (
            <TableRow key={dose.id}>
              <TableCell component="th" scope="row">
                {say(dose.said)}
              </TableCell>
              <TableCell align="right">
                {inWords(dose.cureG.value, 'smallMass', preferences)}
                {dose.cureG.high - dose.cureG.low > 0.2 && (
                  <small>
                    {inWords(dose.cureG.low, 'smallMass', preferences)} to {inWords(dose.cureG.high, 'smallMass', preferences)}
                  </small>
                )}
              </TableCell>
              <TableCell align="right">{digits(dose.evenPpm.value, 0)} ppm</TableCell>
            </TableRow>
          ))}
          <TableRow sx={styles.here}>
            <TableCell component="th" scope="row">
              This sheet
            </TableCell>
            <TableCell align="right">{inWords(has, 'smallMass', preferences)}</TableCell>
            <TableCell align="right">{digits(audit.nitritePpm.find(({ basis }) => basis === 'equilibrium')?.value ?? applies.value, 0)} ppm</TableCell>
          </TableRow>
        </TableBody>
      </Table>
    </Panel>
  );
}

/** Every rule set's word on the figure that applies. */
export function Rules({ ruleSet, audit }: { ruleSet: BenchSheet['ruleSet']; audit: RecipeAudit }) {
  const { applies } = audit.nitrite;
  return (
    <Panel title="What the rules say" aside={<>to {digits(applies.value, 1)} ppm</>} label="What the rules say">
      <Table sx={[looks.book, looks.argument]}>
        <ColumnHeads columns={['Rules', { numbers: 'Floor' }, { numbers: 'Limit' }, 'This is']} />
        <TableBody>
          {audit.rules.map((rule) => (
            <TableRow key={rule.ruleSet} sx={[rule.ruleSet === ruleSet && styles.here]}>
              <TableCell component="th" scope="row">
                {rule.name}
              </TableCell>
              <TableCell align="right">{digits(rule.floor, 0)}</TableCell>
              <TableCell align="right">{digits(rule.limit, 0)}</TableCell>
              <TableCell sx={[rule.verdict === 'over' && styles.bad]}>{VERDICTS[rule.verdict]}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Box component="p" sx={[looks.note, looks.pad]}>
        Values from memory. Check your own code.
      </Box>
    </Panel>
  );
}

import Box from '@mui/material/Box';
import { unseen } from '../theme/surfaces';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';

/** A column: its name, or its name over numbers, or one that is read aloud only. */
type Column = string | { numbers: string } | { aloud: string };

/** The head of a table. */
export function ColumnHeads({ columns }: { columns: readonly Column[] }) {
  return (
    <TableHead>
      <TableRow>
        {columns.map((column) => {
          if (typeof column === 'string') return <TableCell key={column}>{column}</TableCell>;
          if ('aloud' in column)
            return (
              <TableCell key={column.aloud}>
                <Box component="span" sx={unseen}>
                  {column.aloud}
                </Box>
              </TableCell>
            );
          return (
            <TableCell key={column.numbers} align="right">
              {column.numbers}
            </TableCell>
          );
        })}
      </TableRow>
    </TableHead>
  );
}

/** A column: its name, or its name over numbers, or one that is read aloud only. */
type Column = string | { numbers: string } | { aloud: string };

/** The head of a table. */
export function TableHead({ columns }: { columns: readonly Column[] }) {
  return (
    <thead>
      <tr>
        {columns.map((column) => {
          if (typeof column === 'string')
            return (
              <th key={column} scope="col">
                {column}
              </th>
            );
          if ('aloud' in column)
            return (
              <th key={column.aloud} scope="col">
                <span className="sr">{column.aloud}</span>
              </th>
            );
          return (
            <th key={column.numbers} scope="col" className="n">
              {column.numbers}
            </th>
          );
        })}
      </tr>
    </thead>
  );
}

import { memo } from 'react';
import { View } from 'react-native';
import { CardBox } from '@/ui/layout/CardBox';
import { FieldRow } from '@/ui/layout/FieldRow';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import type { Row, Rows } from './useRows';

const STANDS: Readonly<Record<Row['standing'], string>> = {
  new: 'new',
  change: 'changes what is here',
  same: 'here already',
  fault: 'to fix',
};

/** So much of a row says which one it is. */
const SAID = 3;

interface Props {
  row: Row;
  heads: readonly string[];
  onMend: Rows['mend'];
}

/** A row in a line; one with faults as a card, each faulty cell to be mended where it stands. */
export const RowLine = memo(function RowLine({ row, heads, onMend }: Props) {
  const { line, cells, read, standing } = row;
  const said = cells
    .map((cell) => cell.trim())
    .filter((cell) => cell !== '' && !/^[\da-f-]{36}$/.test(cell))
    .slice(0, SAID)
    .join(', ')
    .slice(0, 90);
  if (read.ok)
    return (
      <View style={{ flexDirection: 'row', columnGap: 12 }}>
        <Words as="small" tone="faint" style={{ width: 64 }}>{`Row ${line}`}</Words>
        <Words as="small" style={{ flex: 1 }}>
          {said}
        </Words>
        <Words as="small" tone={standing === 'same' ? 'faint' : 'lichen'}>
          {STANDS[standing]}
        </Words>
      </View>
    );
  const cellsAt = new Map<number, string>();
  for (const { column, message } of read.faults)
    if (column !== null) cellsAt.set(column, [cellsAt.get(column), message].filter(Boolean).join(' '));
  return (
    <CardBox label={`Row ${line}`}>
      <Words as="smallStrong">{`Row ${line}: ${said || 'empty'}`}</Words>
      {read.faults
        .filter(({ column }) => column === null)
        .map(({ message }) => (
          <Words key={message} as="small" tone="rowan">
            {message}
          </Words>
        ))}
      <FieldRow>
        {[...cellsAt].map(([column, message]) => (
          <TextField
            key={column}
            label={heads[column]?.trim() || `Column ${column + 1}`}
            value={cells[column] ?? ''}
            error={message}
            onChange={(text) => onMend(line, column, text)}
          />
        ))}
      </FieldRow>
    </CardBox>
  );
});

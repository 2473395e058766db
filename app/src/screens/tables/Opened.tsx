import { plural } from '@keep-snug/core';
import type { CsvTable, Meaning } from '@keep-snug/core/csv';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Notice } from '@/ui/notices/Notice';
import { ListPage, type Item } from '@/ui/layout/Page';
import { saveText } from '@/platform/saveText';
import { bringBack, type BroughtBack } from '@/data/bringBack';
import { Mapping, type Every } from './Mapping';
import { RowLine } from './RowLine';
import { csvText, type Sheet } from './sheet';
import { changesBy, type Standing } from './taken';
import { useRows, type Line, type Row } from './useRows';

interface Props {
  table: CsvTable;
  name: string;
  sheet: Sheet;
  onClose: () => void;
}

/** What a row with faults is saved with, for mending elsewhere. */
const FAULT_HEAD = 'what is wrong';

/** A table that was opened: what its columns are, every row with its faults, and the good ones brought in. */
export function Opened(props: Props) {
  const [sheet, setSheet] = useState(props.sheet);
  const [lines, setLines] = useState<readonly Line[]>(() =>
    sheet.rows.map((cells, index) => ({ line: index + (sheet.from ?? 2), cells })),
  );
  const [meanings, setMeanings] = useState<readonly (Meaning | null)[]>();
  /** A column of its own for what every row is: each row can still say otherwise. */
  const mapped = (next: readonly (Meaning | null)[], every?: Every) => {
    setMeanings(every ? [...next, every.meaning] : next);
    if (!every) return;
    const { length } = sheet.heads;
    setSheet({ ...sheet, heads: [...sheet.heads, every.head] });
    setLines((now) =>
      now.map(({ line, cells }) => ({ line, cells: Object.assign([...cells], { [length]: every.value }) })),
    );
  };
  if (!meanings) return <Mapping {...props} sheet={sheet} onDone={mapped} />;
  return (
    <Checked
      {...props}
      sheet={sheet}
      lines={lines}
      setLines={setLines}
      meanings={meanings}
      onColumns={() => setMeanings(undefined)}
    />
  );
}

interface CheckedProps extends Props {
  lines: readonly Line[];
  setLines: Parameters<typeof useRows>[3];
  meanings: readonly (Meaning | null)[];
  onColumns: () => void;
}

function Checked({ table, name, sheet, meanings, lines, setLines, onColumns, onClose }: CheckedProps) {
  const { rows, reading, mend, taken, here } = useRows(table, meanings, lines, setLines);
  const [done, setDone] = useState<(BroughtBack & { count: number }) | null>(null);
  const standing = useRef<BroughtBack | null>(null);
  // a page that is left lets it stand
  useEffect(() => () => standing.current?.keep(), []);
  const of = (one: Standing) => rows.filter((row) => row.standing === one);
  const good = [...of('new'), ...of('change')];
  const faulty = of('fault');
  const settled = (what: (BroughtBack & { count: number }) | null) => {
    standing.current = what;
    setDone(what);
  };
  const bringIn = async () => {
    if (!here) return;
    const changes = changesBy(
      table,
      good.map(({ read }) => read),
      here,
    );
    const brought = await bringBack(changes);
    taken(new Set([...good, ...of('same')].map(({ line }) => line)));
    settled({ ...brought, count: good.length });
  };
  const saveRest = async () => {
    const told = faulty.map(({ cells, read }) => [
      ...sheet.heads.map((_, column) => cells[column] ?? ''),
      read.ok ? '' : read.faults.map(({ message }) => message).join(' '),
    ]);
    saveText(await csvText([[...sheet.heads, FAULT_HEAD], ...told]), 'keep-snug-to-fix.csv', 'text/csv;charset=utf-8');
  };
  return (
    <ListPage
      title={`${table.name}: ${name}`}
      says={
        reading === null
          ? inWords(table, {
              new: of('new').length,
              change: of('change').length,
              same: of('same').length,
              fault: faulty.length,
            })
          : `Reading row ${reading} of ${lines.length}…`
      }
      over={
        <View style={{ gap: 12 }}>
          {done ? (
            <Notice
              tone="thread"
              word={`${plural(done.count, 'row')} brought in`}
              text="Nothing is sent to the server until you keep it or leave this page."
            >
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
                <Action onPress={() => (done.undo(), settled(null), onClose())}>Undo</Action>
                <Action onPress={() => (done.keep(), settled(null))}>Keep it</Action>
              </View>
            </Notice>
          ) : null}
          <FieldRow>
            {good.length > 0 && !done ? (
              <Action main onPress={() => void bringIn()}>
                {`Bring in ${plural(good.length, 'row')}`}
              </Action>
            ) : null}
            {faulty.length > 0 && reading === null ? (
              <Action onPress={() => void saveRest()}>{`Save ${plural(faulty.length, 'row')} to fix`}</Action>
            ) : null}
            {done ? null : <Action onPress={onColumns}>Columns</Action>}
            <Action onPress={onClose}>{done && faulty.length === 0 ? 'Done' : 'Close this table'}</Action>
          </FieldRow>
        </View>
      }
      items={[...faulty, ...good, ...of('same')].map((row): Item => ({
        key: String(row.line),
        draw: () => <RowLine row={row} heads={sheet.heads} onMend={mend} />,
      }))}
    />
  );
}

/** What stands in the table, a word for each. */
function inWords({ rows }: CsvTable, counts: Record<Row['standing'], number>): string {
  const said = [
    counts.new > 0 ? `${counts.new} new` : '',
    counts.change > 0 ? `${counts.change} with changes` : '',
    counts.same > 0 ? `${counts.same} here already` : '',
    counts.fault > 0 ? `${counts.fault} with a fault: fix ${counts.fault === 1 ? 'it' : 'them'} below` : '',
  ].filter(Boolean);
  return said.length > 0 ? `${said.join(', ')}.` : `No ${rows[1]} are left in this table.`;
}

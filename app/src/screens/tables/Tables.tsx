import type { CsvTable } from '@keep-snug/core/csv';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { chooseFile } from '@/platform/chooseFile';
import { Notice } from '@/ui/notices/Notice';
import { Page } from '@/ui/layout/Page';
import { saveText } from '@/platform/saveText';
import { Words } from '@/ui/layout/Words';
import { useDevice } from '@/data/device';
import { keptHere } from './keptHere';
import { Opened } from './Opened';
import { csvTables } from './readers';
import { csvText, openSheet, type Sheet } from './sheet';

/** What is kept, as tables for a spreadsheet: out, and in again. */
export function Tables() {
  const tables = useTables();
  const all = useDevice((state) => state.all);
  const [opened, setOpened] = useState<{ table: CsvTable; name: string; sheet: Sheet } | null>(null);
  if (opened) return <Opened {...opened} onClose={() => setOpened(null)} />;
  return (
    <Page title="Tables" says="Everything you keep as CSV, for a spreadsheet: out, and in again.">
      {tables.map((table) => (
        <TableCard
          key={table.id}
          table={table}
          disabled={!all}
          onOpen={(name, sheet) => setOpened({ table, name, sheet })}
        />
      ))}
    </Page>
  );
}

function useTables(): readonly CsvTable[] {
  const [tables, setTables] = useState<readonly CsvTable[]>([]);
  useEffect(() => {
    let left = false;
    void csvTables().then(({ CSV_TABLES }) => left || setTables(CSV_TABLES));
    return () => {
      left = true;
    };
  }, []);
  return tables;
}

interface CardProps {
  table: CsvTable;
  disabled: boolean;
  onOpen: (name: string, sheet: Sheet) => void;
}

const count = (n: number, [one, many]: CsvTable['rows']): string => `${n} ${n === 1 ? one : many}`;

function TableCard({ table, disabled, onOpen }: CardProps) {
  const [said, setSaid] = useState('');
  const [fault, setFault] = useState('');
  const save = async () => {
    const { tableRows } = await csvTables();
    const kept = await keptHere(table);
    const name = `keep-snug-${table.id}.csv`;
    saveText(await csvText(tableRows(table, kept)), name, 'text/csv;charset=utf-8');
    setSaid(`${count(kept.length, table.rows)} saved as ${name}.`);
  };
  const open = async () => {
    const file = await chooseFile('.csv,text/csv,text/plain');
    if (!file) return;
    const read = await openSheet(file);
    setFault(read.ok ? '' : read.fault);
    if (!read.ok) return;
    const { headLine } = await csvTables();
    const lines = [read.sheet.heads, ...read.sheet.rows];
    const at = headLine(table, lines);
    onOpen(file.name, { heads: lines[at]!, rows: lines.slice(at + 1), from: at + 2 });
  };
  return (
    <CardBox label={table.name}>
      <Words as="heading" level={2}>
        {table.name}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, marginLeft: -4 }}>
        <Action label={`Save ${table.name} as CSV`} disabled={disabled} onPress={() => void save()}>
          Save as CSV
        </Action>
        <Action label={`Open a CSV of ${table.name}`} disabled={disabled} onPress={() => void open()}>
          Open a CSV
        </Action>
      </View>
      {said ? (
        <Words as="small" tone="lichen" live>
          {said}
        </Words>
      ) : null}
      {fault ? <Notice tone="rowan" word="Not opened" text={fault} /> : null}
    </CardBox>
  );
}

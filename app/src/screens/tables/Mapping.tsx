import type { CsvTable, Meaning } from '@keep-snug/core/csv';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Busy } from '@/ui/notices/Busy';
import { ListPage, type Item } from '@/ui/layout/Page';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Pick as OneOf } from '@/ui/fields/Pick';
import { Tabs } from '@/ui/layout/Tabs';
import { Words } from '@/ui/layout/Words';
import { csvTables } from './readers';
import type { Sheet } from './sheet';

const LEFT_OUT = { id: '', name: 'leave out' };

const UNITS = [
  { id: 'mm', name: 'mm' },
  { id: 'cm', name: 'cm' },
  { id: 'in', name: 'in' },
] as const;

interface Props {
  table: CsvTable;
  name: string;
  sheet: Sheet;
  onDone: (meanings: readonly (Meaning | null)[], every?: Every) => void;
}

/** A column that the table does not have, with what stands in it for every row; nothing where each row says it by itself. */
export interface Every {
  head: string;
  meaning: Meaning;
  value: string;
}

interface Known {
  meanings: (Meaning | null)[];
  choices: { id: string; name: string }[];
  isLength: (path: string) => boolean;
}

/** Which column is which: guessed from the heads, put right by hand. */
export function Mapping({ table, name, sheet, onDone }: Props) {
  const [known, setKnown] = useState<Known>();
  const [every, setEvery] = useState('');
  useEffect(() => {
    let left = false;
    void csvTables().then(({ guessColumns, columnChoices, templateOf }) => {
      if (left) return;
      const lengths = new Set(
        table.columns.flatMap(({ path, form }) => (form.is === 'number' && form.unit === 'mm' ? [path] : [])),
      );
      const choices = columnChoices(table).map(({ path, header }) => ({ id: path, name: header.replace(' (mm)', '') }));
      const meanings = guessColumns(table, sheet.heads);
      // a place deep in a list is a choice where a head names it
      const more = meanings.flatMap((meaning, index) =>
        meaning && !choices.some(({ id }) => id === meaning.path)
          ? [{ id: meaning.path, name: sheet.heads[index]! }]
          : [],
      );
      setKnown({
        meanings,
        choices: [LEFT_OUT, ...choices, ...more],
        isLength: (path) => lengths.has(templateOf(path)),
      });
    });
    return () => {
      left = true;
    };
  }, [table, sheet]);
  if (!known) return <Busy />;
  const set = (index: number, meaning: Meaning | null) => {
    // no place has two columns
    const others = known.meanings.map((one) => (meaning && one?.path === meaning.path ? null : one));
    setKnown({ ...known, meanings: Object.assign(others, { [index]: meaning }) });
  };
  const used = known.meanings.filter(Boolean).length;
  const { asks } = table;
  const lacks = asks && !known.meanings.some((meaning) => meaning?.path === asks.path) ? asks : undefined;
  const done = () =>
    onDone(known.meanings, lacks && { head: lacks.name, meaning: { path: lacks.path, unit: 'mm' }, value: every });
  return (
    <ListPage
      title={`${table.name}: ${name}`}
      says={`${sheet.rows.length} rows. Each column with what it is here; ${used} of ${sheet.heads.length} were recognised.`}
      main={{ name: 'Check the rows', do: done }}
      over={
        lacks ? (
          <FieldRow>
            <OneOf
              label={`No column says the ${lacks.name}. Every row is`}
              value={every}
              options={[{ id: '', name: 'asked about in each row' }, ...lacks.choices]}
              onChange={setEvery}
            />
          </FieldRow>
        ) : null
      }
      items={sheet.heads.map((head, index): Item => ({
        key: String(index),
        draw: () => (
          <ColumnLine
            head={head.trim() || `Column ${index + 1}`}
            sample={sheet.rows.map((row) => row[index]?.trim() ?? '').find(Boolean) ?? ''}
            meaning={known.meanings[index] ?? null}
            choices={known.choices}
            isLength={known.isLength}
            onChange={(meaning) => set(index, meaning)}
          />
        ),
      }))}
    />
  );
}

interface LineProps extends Choosing {
  head: string;
  sample: string;
  meaning: Meaning | null;
  onChange: (meaning: Meaning | null) => void;
}

type Choosing = Pick<Known, 'choices' | 'isLength'>;

function ColumnLine({ head, sample, meaning, choices, isLength, onChange }: LineProps) {
  const unit = meaning?.unit ?? 'mm';
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 20, rowGap: 4, alignItems: 'center' }}>
      <View style={{ flexBasis: 240, flexGrow: 1 }}>
        <Words as="strong">{head}</Words>
        <Words as="small" tone="faint">
          {sample === '' ? 'empty' : `such as ${sample.slice(0, 40)}`}
        </Words>
      </View>
      <View style={{ flexBasis: 240, flexGrow: 1 }}>
        <OneOf
          bare
          label={`${head} is`}
          value={meaning?.path ?? ''}
          options={choices}
          onChange={(path) => onChange(path === '' ? null : { path, unit })}
        />
      </View>
      <View style={{ flexBasis: 180 }}>
        {meaning && isLength(meaning.path) ? (
          <Tabs
            as="radio"
            label={`${head} is in`}
            value={unit === 'm' ? 'mm' : unit}
            options={UNITS}
            onChange={(next) => onChange({ path: meaning.path, unit: next })}
          />
        ) : null}
      </View>
    </View>
  );
}

import { StyleSheet, View } from 'react-native';
import { SearchField } from '@/ui/fields/SearchField';
import { Pick } from '@/ui/fields/Pick';
import { Tabs } from '@/ui/layout/Tabs';
import type { Finding, Order } from './useFinding';
import { Words } from '@/ui/layout/Words';

/** From so many entries on a list can be searched. */
const FROM = 7;

const ORDERS: readonly { id: Order; name: string }[] = [
  { id: 'used', name: 'last used' },
  { id: 'name', name: 'name' },
];

const ALL = 'all';

interface Props {
  /** What is searched, such as "plans". */
  what: string;
  finding: Finding;
  kinds?: readonly { id: string; name: string }[];
  /** From so many entries on, where not from seven. */
  from?: number;
}

/** Search, order and kind of a list that has grown; nothing over a short one. */
export function ListTools({ what, finding, kinds = [], from = FROM }: Props) {
  const { found, of, search, setSearch, order, setOrder, kind, setKind } = finding;
  if (of < from) return null;
  return (
    <View style={{ gap: 10 }}>
      <View style={STYLES.row}>
        <View style={STYLES.search}>
          <SearchField what={what} value={search} onChange={setSearch} />
        </View>
        <View style={STYLES.order}>
          <Pick
            bare
            label={`Order of ${what}`}
            value={order}
            options={ORDERS}
            onChange={(next) => setOrder(next as Order)}
          />
        </View>
      </View>
      {kinds.length > 1 ? (
        <Tabs
          as="radio"
          label={`Kind of ${what}`}
          value={kind ?? ALL}
          options={[{ id: ALL, name: 'all' }, ...kinds]}
          onChange={(next) => setKind(next === ALL ? null : next)}
        />
      ) : null}
      {search || kind ? (
        <Words as="small" tone="faint" live>
          {found.length === 0 ? `No ${what} match. Clear the search to see all ${of}.` : `${found.length} of ${of}`}
        </Words>
      ) : null}
    </View>
  );
}

const STYLES = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  search: { flexGrow: 3, flexBasis: 200 },
  order: { flexGrow: 1, flexBasis: 130, maxWidth: 200 },
});

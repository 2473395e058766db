import { ScrollView, StyleSheet, View } from 'react-native';
import { Chip, SegmentedButtons } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { useType } from '@/theme/useType';
import { useRoles } from '@/ui/fields/useRoles';

interface Props<Id extends string> {
  label: string;
  options: readonly { id: Id; name: string }[];
  value: Id;
  onChange: (id: Id) => void;
  /** Tabs show another view of the same; choices change the plan. */
  as?: 'tab' | 'radio';
  /** All in one line, however many: what does not fit is moved into sight. */
  oneLine?: boolean;
}

/** So many short names stand in one row without being cut off on the narrowest screen. */
const IN_A_ROW = { names: 4, letters: 26 };

/** A few named choices; the one in force lies on the tape. */
export function Tabs<Id extends string>(props: Props<Id>) {
  const { label, options, value, onChange, as = 'tab', oneLine = false } = props;
  const group = as === 'tab' ? 'tablist' : 'radiogroup';
  const chosen = options.findIndex(({ id }) => id === value);
  const row = useRoles(group, chosen, (index) => onChange(options[index]!.id));
  const letters = options.reduce((sum, { name }) => sum + name.length, 0);
  const short = options.length <= IN_A_ROW.names && letters <= IN_A_ROW.letters;
  return (
    <View ref={row} role={group} aria-label={label} style={STYLES.group}>
      {short && !oneLine ? <Segments {...props} /> : <Chips {...props} />}
    </View>
  );
}

function Segments<Id extends string>({ options, value, onChange }: Props<Id>) {
  const colours = useColours();
  const strong = useType('strong');
  const body = useType('body');
  return (
    <SegmentedButtons
      value={value}
      onValueChange={(next) => onChange(next as Id)}
      theme={{ roundness: 0 }}
      buttons={options.map(({ id, name }) => ({
        value: id,
        label: name,
        testID: id,
        checkedColor: colours.ink,
        uncheckedColor: colours.faint,
        style: {
          ...STYLES.segment,
          borderBottomColor: id === value ? colours.tape : colours.line,
          backgroundColor: 'transparent',
        },
        labelStyle: { ...(id === value ? strong : body), ...STYLES.inSegment },
      }))}
    />
  );
}

function Chips<Id extends string>({ options, value, onChange, oneLine = false }: Props<Id>) {
  const colours = useColours();
  const strong = useType('strong');
  const body = useType('body');
  const chips = (
    <View style={[STYLES.chips, oneLine ? STYLES.inLine : null]}>
      {options.map(({ id, name }) => (
        <Chip
          key={id}
          mode="outlined"
          compact
          onPress={() => onChange(id)}
          style={{
            ...STYLES.chip,
            borderColor: id === value ? colours.ink : colours.line,
            borderBottomColor: id === value ? colours.tape : colours.line,
            backgroundColor: id === value ? colours.surface : 'transparent',
          }}
          textStyle={{
            ...(id === value ? strong : body),
            ...STYLES.inChip,
            color: id === value ? colours.ink : colours.faint,
          }}
        >
          {name}
        </Chip>
      ))}
    </View>
  );
  return oneLine ? (
    <ScrollView horizontal showsHorizontalScrollIndicator={false}>
      {chips}
    </ScrollView>
  ) : (
    chips
  );
}

const STYLES = StyleSheet.create({
  group: { maxWidth: '100%' },
  segment: {
    borderTopWidth: 0,
    borderLeftWidth: 0,
    borderRightWidth: 0,
    borderBottomWidth: 4,
    minHeight: 48,
    minWidth: 0,
    justifyContent: 'center',
  },
  // the library keeps too much room beside a name and cuts it off
  inSegment: { marginHorizontal: -12, overflow: 'visible' },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, maxWidth: '100%' },
  inLine: { flexWrap: 'nowrap', maxWidth: undefined },
  chip: { borderRadius: 2, borderBottomWidth: 4, maxWidth: '100%' },
  inChip: { marginVertical: 10, marginHorizontal: 4 },
});

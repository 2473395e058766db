import { StyleSheet, View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';

/** A page's own shape in chalk, before anything of it is known: the places, a title, three cards. */
export function Skeleton() {
  const colours = useColours();
  const wide = useWide();
  const places = (
    <View style={[wide ? STYLES.rail : STYLES.bar, { backgroundColor: colours.surface, borderColor: colours.line }]} />
  );
  return (
    <View
      role="status"
      aria-label="Loading"
      style={[STYLES.page, { backgroundColor: colours.chalk, flexDirection: wide ? 'row' : 'column' }]}
    >
      {wide ? places : null}
      <View style={STYLES.column}>
        <View style={[STYLES.title, { backgroundColor: colours.line }]} />
        {[0, 1, 2].map((card) => (
          <View key={card} style={[STYLES.card, { backgroundColor: colours.surface, borderColor: colours.line }]} />
        ))}
      </View>
      {wide ? null : places}
    </View>
  );
}

const STYLES = StyleSheet.create({
  page: { flex: 1 },
  rail: { width: 96, borderRightWidth: 1 },
  bar: { height: 66, borderTopWidth: 1 },
  column: { flex: 1, width: '100%', maxWidth: 1040, alignSelf: 'center', padding: 20, gap: 20 },
  title: { width: 140, height: 28, borderRadius: 2, opacity: 0.6 },
  card: { height: 112, borderWidth: 1, borderRadius: 2 },
});

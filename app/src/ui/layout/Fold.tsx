import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { Press } from '@/ui/actions/Press';
import { Words } from './Words';

interface Props {
  /** What it holds. */
  title: string;
  /** What is set in it, in a line. */
  says: string;
  /** Whether something in it has to be mended: it is open then, whatever was pressed. */
  wrong?: boolean;
  children: ReactNode;
}

/** What refines, behind one press that says what it holds and what is set there. */
export function Fold({ title, says, wrong = false, children }: Props) {
  const colours = useColours();
  const [isOpen, setOpen] = useState(wrong);
  // what is being mended stays open once it is
  if (wrong && !isOpen) setOpen(true);
  return (
    <View style={[STYLES.fold, { borderColor: colours.line }]}>
      <Press expanded={isOpen} label={title} onPress={() => setOpen(!isOpen)} style={STYLES.head}>
        <View style={{ flexShrink: 1 }}>
          <Words as="smallStrong" tone="sea">
            {title}
          </Words>
          <Words as="small" tone="faint">
            {says}
          </Words>
        </View>
        <Words as="strong" tone="sea">
          {isOpen ? '−' : '+'}
        </Words>
      </Press>
      {isOpen ? <View style={STYLES.body}>{children}</View> : null}
    </View>
  );
}

const STYLES = StyleSheet.create({
  fold: { borderTopWidth: 1 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    columnGap: 12,
    paddingVertical: 6,
  },
  body: { gap: 8, paddingBottom: 12 },
});

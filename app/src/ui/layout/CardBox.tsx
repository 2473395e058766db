import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { Form } from '@/ui/fields/reds';

interface Props {
  children: ReactNode;
  /** What it is about, for readers. */
  label?: string;
  padding?: number;
}

/** A card: a hairline round what belongs together. */
export function CardBox({ children, label, padding = 16 }: Props) {
  const colours = useColours();
  return (
    <Card
      mode="contained"
      {...(label ? { role: 'group' as const, 'aria-label': label } : {})}
      style={[STYLES.card, { backgroundColor: colours.surface, borderColor: colours.line }]}
    >
      <View style={{ padding, gap: 10 }}>
        <Form>{children}</Form>
      </View>
    </Card>
  );
}

const STYLES = StyleSheet.create({ card: { borderWidth: 1, borderRadius: 2 } });

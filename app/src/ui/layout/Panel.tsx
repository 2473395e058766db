import type { ReactNode } from 'react';
import { Modal, Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Dialog, Portal, Surface } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { IconAction } from '@/ui/actions/IconAction';
import { Form } from '@/ui/fields/reds';
import { Words } from './Words';

interface Props {
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/**
 * Something opened beside the work: from below on a phone, at the side when wide. Escape closes it. The library's own
 * dialog has neither role nor focus on the web, so that its parts lie in a window that has both.
 */
export function Panel({ title, onClose, children }: Props) {
  const colours = useColours();
  const wide = useWide();
  return (
    <Modal transparent visible onRequestClose={onClose} aria-label={title}>
      <Portal.Host>
        <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column', justifyContent: 'flex-end' }}>
          <Pressable aria-hidden tabIndex={-1} onPress={onClose} style={STYLES.ground} />
          <Surface
            elevation={0}
            style={{
              backgroundColor: colours.surface,
              borderColor: colours.tape,
              ...(wide ? STYLES.beside : STYLES.below),
            }}
          >
            <View style={STYLES.head}>
              <Words as="heading" level={2} style={{ flex: 1 }}>
                {title}
              </Words>
              <IconAction label="Close" icon="close" onPress={onClose} />
            </View>
            <Dialog.ScrollArea style={STYLES.area}>
              <ScrollView contentContainerStyle={STYLES.body}>
                <Form>{children}</Form>
              </ScrollView>
            </Dialog.ScrollArea>
          </Surface>
        </View>
      </Portal.Host>
    </Modal>
  );
}

const STYLES = StyleSheet.create({
  ground: { ...StyleSheet.absoluteFill, backgroundColor: '#000', opacity: 0.32 },
  beside: { width: 400, borderLeftWidth: 6, height: '100%' },
  below: { borderTopWidth: 6, maxHeight: '82%' },
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: 20, paddingRight: 8, paddingTop: 8 },
  area: { paddingHorizontal: 0, marginBottom: 0, borderTopWidth: 0, borderBottomWidth: 0 },
  body: { paddingHorizontal: 20, paddingBottom: 28, gap: 12 },
});

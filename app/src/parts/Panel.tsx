import type { ReactNode } from 'react';
import { Modal, Pressable, ScrollView, View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { Icon } from './Icon';
import { Press } from './Press';
import { Words } from './Words';

interface Props {
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** Something opened beside the work: from below on a phone, at the side when wide. Escape closes it. */
export function Panel({ title, onClose, children }: Props) {
  const colours = useColours();
  const wide = useWide();
  return (
    <Modal transparent visible onRequestClose={onClose} aria-label={title}>
      <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column', justifyContent: 'flex-end' }}>
        <Pressable
          aria-hidden
          tabIndex={-1}
          onPress={onClose}
          style={{ position: 'absolute', top: 0, bottom: 0, left: 0, right: 0, backgroundColor: '#000', opacity: 0.32 }}
        />
        <View
          style={{
            backgroundColor: colours.surface,
            borderColor: colours.tape,
            ...(wide ? { width: 400, borderLeftWidth: 6, height: '100%' } : { borderTopWidth: 6, maxHeight: '82%' }),
          }}
        >
          <View style={{ flexDirection: 'row', alignItems: 'center', paddingLeft: 20, paddingRight: 8, paddingTop: 8 }}>
            <Words as="heading" level={2} style={{ flex: 1 }}>
              {title}
            </Words>
            <Press label="Close" onPress={onClose} style={{ width: 48, alignItems: 'center' }}>
              <Icon name="close" colour={colours.ink} />
            </Press>
          </View>
          <ScrollView contentContainerStyle={{ paddingHorizontal: 20, paddingBottom: 28, gap: 12 }}>
            {children}
          </ScrollView>
        </View>
      </View>
    </Modal>
  );
}

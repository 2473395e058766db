import { useColours } from '@/theme/useTheme';
import { Press } from './Press';
import { Words } from './Words';

interface Props {
  children: string;
  onPress: () => void;
  /** The one thing this screen is for; everything else is written as a link. */
  main?: boolean;
  label?: string;
  disabled?: boolean;
}

/** Something to do, in words. */
export function Action({ children, onPress, main = false, label, disabled }: Props) {
  const colours = useColours();
  return (
    <Press
      onPress={onPress}
      label={label}
      disabled={disabled}
      style={{
        flexShrink: 1,
        ...(main ? { backgroundColor: colours.ink, paddingHorizontal: 20, borderRadius: 2 } : { paddingHorizontal: 4 }),
      }}
    >
      <Words as="strong" tone={main ? 'chalk' : 'sea'} style={{ textAlign: main ? 'center' : 'left' }}>
        {children}
      </Words>
    </Press>
  );
}

import { useColours } from '@/theme/useTheme';
import { Words } from '@/ui/layout/Words';
import { Press } from './Press';

interface Props {
  children: string;
  on: boolean;
  onChange: (on: boolean) => void;
}

/** One word that is in force or not: pressed, it lies on the tape. */
export function Toggle({ children, on, onChange }: Props) {
  const colours = useColours();
  return (
    <Press
      pressed={on}
      onPress={() => onChange(!on)}
      style={{ paddingHorizontal: 8, borderBottomWidth: 4, borderColor: on ? colours.tape : 'transparent' }}
    >
      <Words as={on ? 'strong' : 'body'} {...(on ? {} : { tone: 'faint' as const })}>
        {children}
      </Words>
    </Press>
  );
}

import { View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { Press } from './Press';
import { useRadios } from './useRadios';
import { Words } from './Words';

interface Props<Id extends string> {
  label: string;
  options: readonly { id: Id; name: string }[];
  value: Id;
  onChange: (id: Id) => void;
  /** Tabs show another view of the same; choices change the plan. */
  as?: 'tab' | 'radio';
}

/** A few named choices in a row; the one in force lies on the tape. */
export function Tabs<Id extends string>({ label, options, value, onChange, as = 'tab' }: Props<Id>) {
  const colours = useColours();
  const keysOf = useRadios(
    options.map(({ id }) => id),
    value,
    onChange,
  );
  return (
    <View
      role={as === 'tab' ? 'tablist' : 'radiogroup'}
      aria-label={label}
      style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 4, maxWidth: '100%' }}
    >
      {options.map(({ id, name }) => (
        <Press
          key={id}
          role={as}
          selected={id === value}
          {...(as === 'radio' ? { keys: keysOf(id) } : {})}
          onPress={() => onChange(id)}
          style={{
            paddingHorizontal: 12,
            borderBottomWidth: 4,
            borderColor: id === value ? colours.tape : 'transparent',
          }}
        >
          <Words
            as={id === value ? 'strong' : 'body'}
            tone={id === value ? 'ink' : 'faint'}
            style={{ textAlign: 'center' }}
          >
            {name}
          </Words>
        </Press>
      ))}
    </View>
  );
}

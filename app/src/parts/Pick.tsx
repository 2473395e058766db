import { createElement, useId } from 'react';
import { View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { useType } from '@/theme/useType';
import { Words } from './Words';

interface Props {
  label: string;
  value: string;
  options: readonly { id: string; name: string }[];
  onChange: (id: string) => void;
  hint?: string;
}

/** One of a list. The browser's own list is used: it is reachable by every keyboard, reader and thumb. */
export function Pick({ label, value, options, onChange, hint = '' }: Props) {
  const colours = useColours();
  const id = useId();
  const type = useType('body');
  return (
    <View style={{ gap: 4, flexGrow: 1, flexBasis: 130 }}>
      <Words as="smallStrong">{label}</Words>
      {createElement(
        'select',
        {
          id,
          value,
          'aria-label': label,
          onChange: (event: { target: { value: string } }) => onChange(event.target.value),
          style: {
            ...type,
            fontVariant: undefined,
            lineHeight: undefined,
            minHeight: 48,
            padding: '0 10px',
            color: colours.ink,
            backgroundColor: colours.surface,
            border: `1px solid ${colours.faint}`,
            borderRadius: 2,
            width: '100%',
          },
        },
        options.map((option) => createElement('option', { key: option.id, value: option.id }, option.name)),
      )}
      <Words as="small" tone="faint">
        {hint}
      </Words>
    </View>
  );
}

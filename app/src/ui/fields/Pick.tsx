import { useEffect, useId, useRef } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { Icon } from '@/ui/actions/Icon';
import { MenuOver } from '@/ui/actions/MenuOver';
import { useMenuAt } from '@/ui/actions/useMenuAt';
import { Words } from '@/ui/layout/Words';
import { Below } from './Below';

interface Option {
  id: string;
  name: string;
}

interface Props {
  label: string;
  value: string;
  options: readonly Option[];
  onChange: (id: string) => void;
  hint?: string;
  /** What is wrong with the one in force, told by the reckoning. */
  error?: string | undefined;
  /** The label stands elsewhere already. */
  bare?: boolean;
}

/** One of a list: its line shows the one in force and opens the list over it. */
export function Pick({ label, value, options, onChange, hint = '', error, bare = false }: Props) {
  const colours = useColours();
  const { line, at, open, close } = useMenuAt();
  const id = useId();
  const chosen = options.find((option) => option.id === value);
  const onKeyDown = (event: { key: string; preventDefault: () => void }) => {
    if (!/^Arrow(Down|Up)$/.test(event.key)) return;
    event.preventDefault();
    open();
  };
  return (
    <View style={bare ? STYLES.bare : STYLES.field}>
      {bare ? null : <Words as="smallStrong">{label}</Words>}
      <TouchableRipple
        ref={line}
        {...{ onKeyDown, 'aria-haspopup': 'listbox' }}
        role="combobox"
        aria-label={label}
        aria-expanded={at !== null}
        aria-controls={at ? id : undefined}
        onPress={open}
        style={[STYLES.line, { backgroundColor: colours.surface, borderColor: colours.faint }]}
      >
        <View style={STYLES.inLine}>
          <Words style={{ flexShrink: 1 }}>{chosen?.name ?? ''}</Words>
          <Icon name="down" colour={colours.sea} size={18} />
        </View>
      </TouchableRipple>
      {at ? (
        <MenuOver at={at} onClose={close}>
          <List
            id={id}
            label={label}
            value={value}
            options={options}
            onPick={(next) => {
              close();
              onChange(next);
            }}
          />
        </MenuOver>
      ) : null}
      <Below hint={hint} error={error} />
    </View>
  );
}

interface ListProps {
  label: string;
  value: string;
  options: readonly Option[];
  id: string;
  onPick: (id: string) => void;
}

/** The list itself: arrows move, a letter jumps, Enter takes. */
function List({ id, label, value, options, onPick }: ListProps) {
  const colours = useColours();
  const { height } = useWindowDimensions();
  const nodes = useRef<(View | null)[]>([]);
  const chosen = Math.max(
    0,
    options.findIndex((option) => option.id === value),
  );
  useEffect(() => {
    // after the library has given the focus to the first of them
    const soon = setTimeout(() => nodes.current[chosen]?.focus?.(), 160);
    return () => clearTimeout(soon);
  }, [chosen]);
  const onKeyDown =
    (index: number) => (event: { key: string; preventDefault: () => void; stopPropagation: () => void }) => {
      const to = goTo(event.key, index, options);
      if (to === null) return;
      event.preventDefault();
      event.stopPropagation();
      nodes.current[to]?.focus();
    };
  return (
    <View nativeID={id} {...{ role: 'listbox' as 'list' }} aria-label={`Choices: ${label}`}>
      <ScrollView style={{ maxHeight: Math.min(420, height * 0.6) }}>
        {options.map((option, index) => (
          <TouchableRipple
            key={option.id}
            ref={(node: View | null) => {
              nodes.current[index] = node;
            }}
            {...{ onKeyDown: onKeyDown(index) }}
            role="option"
            aria-selected={option.id === value}
            onPress={() => onPick(option.id)}
            style={[STYLES.option, option.id === value ? { borderColor: colours.tape } : STYLES.plain]}
          >
            <Words as={option.id === value ? 'strong' : 'body'}>{option.name}</Words>
          </TouchableRipple>
        ))}
      </ScrollView>
    </View>
  );
}

/** Where a key leads in a list, by number; nothing for keys that mean something else. */
function goTo(key: string, from: number, options: readonly Option[]): number | null {
  const last = options.length - 1;
  const steps: Readonly<Record<string, number>> = {
    ArrowDown: Math.min(last, from + 1),
    ArrowUp: Math.max(0, from - 1),
    Home: 0,
    End: last,
  };
  if (steps[key] !== undefined) return steps[key];
  if (key.length !== 1 || key === ' ') return null;
  const turned = [...options.keys()].map((index) => (from + 1 + index) % options.length);
  return turned.find((index) => options[index]!.name.toLowerCase().startsWith(key.toLowerCase())) ?? null;
}

const STYLES = StyleSheet.create({
  bare: { gap: 4 },
  field: { gap: 4, flexGrow: 1, flexBasis: 130 },
  line: { minHeight: 48, borderWidth: 1, borderRadius: 2, justifyContent: 'center', paddingHorizontal: 10 },
  inLine: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', columnGap: 8 },
  option: { minHeight: 48, justifyContent: 'center', paddingHorizontal: 14, paddingVertical: 8, borderLeftWidth: 6 },
  plain: { borderColor: 'transparent' },
});

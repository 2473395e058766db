import type { ReactElement, ReactNode } from 'react';
import { FlatList, ScrollView, StyleSheet, View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { Action } from '@/ui/actions/Action';
import { KeepingLines } from '@/ui/notices/KeepingLines';
import { ThumbBar } from './ThumbBar';
import { Title } from './Title';
import { Words } from './Words';

interface Head {
  title: string;
  /** What is there, in a line. */
  says: string;
  /** The one thing that is started here: beside the title, or at the thumb on a phone. */
  main?: { name: string; do: () => void };
}

interface Props extends Head {
  children: ReactNode;
}

/** A place: its name, what it is for, then what is there. */
export function Page({ children, ...head }: Props) {
  const colours = useColours();
  return (
    <View style={{ flex: 1, backgroundColor: colours.chalk }}>
      <KeepingLines />
      <ScrollView role="main" style={{ flex: 1 }} contentContainerStyle={STYLES.page}>
        <View style={[STYLES.column, STYLES.body]}>
          <PageHead {...head} />
          {children}
        </View>
      </ScrollView>
      <AtTheThumb {...head} />
    </View>
  );
}

/** One thing in a list. */
export interface Item {
  key: string;
  draw: () => ReactElement;
}

interface ListProps extends Head {
  /** Over the list: search, notices. */
  over?: ReactNode;
  items: readonly Item[];
  /** Under its end. */
  under?: ReactNode;
}

/** A place with a list that may grow long: only what is seen of it is drawn. */
export function ListPage({ over, items, under, ...head }: ListProps) {
  const colours = useColours();
  return (
    <View style={{ flex: 1, backgroundColor: colours.chalk }}>
      <KeepingLines />
      <FlatList
        role="main"
        style={{ flex: 1 }}
        contentContainerStyle={STYLES.page}
        data={items as Item[]}
        keyExtractor={({ key }) => key}
        renderItem={({ item }) => <View style={[STYLES.column, STYLES.item]}>{item.draw()}</View>}
        initialNumToRender={12}
        maxToRenderPerBatch={8}
        windowSize={5}
        ListHeaderComponentStyle={STYLES.column}
        ListHeaderComponent={
          <View style={STYLES.body}>
            <PageHead {...head} />
            {over}
          </View>
        }
        ListFooterComponentStyle={STYLES.column}
        ListFooterComponent={<View style={STYLES.item}>{under}</View>}
      />
      <AtTheThumb {...head} />
    </View>
  );
}

function PageHead({ title, says, main }: Head) {
  const wide = useWide();
  return (
    <View style={STYLES.head}>
      <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 240 }}>
        <Title>{title}</Title>
        <Words tone="faint">{says}</Words>
      </View>
      {wide && main ? (
        <Action main onPress={main.do}>
          {main.name}
        </Action>
      ) : null}
    </View>
  );
}

function AtTheThumb({ main }: Head) {
  const wide = useWide();
  if (wide || !main) return null;
  return (
    <ThumbBar>
      <View style={{ flexGrow: 1 }}>
        <Action main onPress={main.do}>
          {main.name}
        </Action>
      </View>
    </ThumbBar>
  );
}

/** How wide a page is at most, what the rail of places takes when wide, and the room at its edges, px. */
export const PAGE = { most: 1040, rail: 96, padding: 20 } as const;

const STYLES = StyleSheet.create({
  page: { paddingBottom: 24 },
  column: { width: '100%', maxWidth: PAGE.most, alignSelf: 'center' },
  body: { padding: PAGE.padding, gap: 20 },
  item: { paddingHorizontal: PAGE.padding, paddingBottom: 10 },
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16, rowGap: 8 },
});

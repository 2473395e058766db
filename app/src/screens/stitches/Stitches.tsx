import { capital } from '@keep-snug/core';
import { FAMILIES, findTechniques, type Technique } from '@keep-snug/core/techniques';
import { useState } from 'react';
import { View } from 'react-native';
import { ListPage, type Item } from '@/ui/layout/Page';
import { Press } from '@/ui/actions/Press';
import { SearchField } from '@/ui/fields/SearchField';
import { useWord } from '@/reading/useWord';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { useTechniqueTrail } from '@/data/techniqueTrail';
import { SymbolPicture } from '@/technique/SymbolPicture';
import { useColours } from '@/theme/useTheme';

/** Every stitch, join and finish there is, each with how it is done. */
export function Stitches() {
  const terms = useSettings((state) => state.terms);
  const [typed, setTyped] = useState('');
  const found = findTechniques(typed, terms);
  return (
    <ListPage
      title="Stitches"
      says="How each stitch, join and finish is done, and what goes wrong."
      over={
        <View style={{ gap: 8 }}>
          <SearchField what="stitches" value={typed} onChange={setTyped} />
          {found.length === 0 ? (
            <Words live>{`Nothing here is called “${typed}”. Try one word of it, or its abbreviation.`}</Words>
          ) : null}
        </View>
      }
      items={itemsOf(found)}
    />
  );
}

function itemsOf(found: readonly Technique[]): Item[] {
  return FAMILIES.flatMap(({ id, name }): Item[] => {
    const own = found.filter(({ family }) => family === id);
    if (own.length === 0) return [];
    const heading = () => (
      <Words as="heading" level={2}>
        {name}
      </Words>
    );
    return [
      { key: id, draw: heading },
      ...own.map((one): Item => ({ key: one.id, draw: () => <TechniqueLine technique={one} /> })),
    ];
  });
}

function TechniqueLine({ technique }: { technique: Technique }) {
  const colours = useColours();
  const word = useWord();
  const show = useTechniqueTrail((state) => state.show);
  const { id, name, abbreviation, symbol, what } = technique;
  const said = capital(word(name));
  return (
    <Press label={said} onPress={() => show(id)} style={{ borderBottomWidth: 1, borderColor: colours.line }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 14, paddingVertical: 6 }}>
        <View style={{ width: 44 }}>{symbol ? <SymbolPicture symbol={symbol} /> : null}</View>
        <View style={{ flex: 1 }}>
          <Words as="strong">{abbreviation ? `${said} (${word(abbreviation)})` : said}</Words>
          <Words as="small" tone="faint">
            {word(what)}
          </Words>
        </View>
      </View>
    </Press>
  );
}

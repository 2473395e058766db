import { stitchDefinition, type Voice } from '@keep-snug/core';
import { toldTechnique, type Technique, type Told } from '@keep-snug/core/techniques';
import { View } from 'react-native';
import { Notice } from '@/ui/notices/Notice';
import { useSchools } from '@/reading/useSchools';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { ClothPicture } from './ClothPicture';
import { LinkedWords } from '@/ui/layout/LinkedWords';
import { Moves } from './Moves';
import { Practise } from './Practise';
import { SymbolPicture } from './SymbolPicture';

/** How one thing is worked: moves, look, the usual mistake, other ways, its sign and names. */
export function TechniqueView({ technique }: { technique: Technique }) {
  const schools = useSchools();
  const voice = useSettings((state) => state.voice);
  const told = toldTechnique(technique, schools);
  const { stitch } = technique;
  return (
    <View style={{ gap: 14 }}>
      <View style={{ flexDirection: 'row', gap: 14, alignItems: 'center' }}>
        {technique.symbol ? <SymbolPicture symbol={technique.symbol} /> : null}
        <View style={{ flex: 1 }}>
          {told.abbreviation ? <Words as="heading">{told.abbreviation}</Words> : null}
          <LinkedWords text={told.what} except={technique.id} />
        </View>
      </View>
      {technique.moves ? <Moves key={technique.id} technique={technique} told={told} voice={voice} /> : null}
      <Steps
        steps={technique.moves ? told.steps.slice(0, technique.steps?.length ?? 0) : told.steps}
        voice={voice}
        except={technique.id}
      />
      {technique.moves ? null : <LinkedWords as="strong" text={told.looks} except={technique.id} />}
      <Notice
        tone="thread"
        word="The usual mistake"
        text={<LinkedWords as="small" text={told.mistake.text} except={technique.id} />}
        repair={<LinkedWords as="smallStrong" text={told.mistake.repair} except={technique.id} />}
      />
      {told.ways.map(({ name, habit, steps }) => (
        <View key={name} style={{ gap: 2 }}>
          <Words as="smallStrong">{habit ? `${name} (as set)` : name}</Words>
          <Steps steps={steps} voice={voice} except={technique.id} />
        </View>
      ))}
      {stitch && stitchDefinition(stitch) ? (
        <View style={{ gap: 6 }}>
          <Words as="heading" level={3}>
            In the fabric
          </Words>
          <ClothPicture key={stitch} stitch={stitch} />
          <Practise technique={technique} />
        </View>
      ) : (
        <Practise technique={technique} />
      )}
      {told.also.length > 0 ? <Words as="small" tone="faint">{`Also called: ${told.also.join('; ')}.`}</Words> : null}
    </View>
  );
}

function Steps({ steps, voice, except }: { steps: readonly Told[]; voice: Voice; except: string }) {
  return steps.map((one, index) => (
    <View key={index} style={{ flexDirection: 'row', gap: 10 }}>
      <Words as="strong" tone="faint">
        {String(index + 1)}
      </Words>
      <View style={{ flex: 1 }}>
        <LinkedWords text={one[voice]} except={except} />
      </View>
    </View>
  ));
}

import { isBlank, upTo, usualHex, type YarnSpec } from '@keep-snug/core';
import { useState } from 'react';
import { Image, Pressable, StyleSheet, View, type GestureResponderEvent } from 'react-native';
import { chooseFile } from '@/platform/chooseFile';
import { pointedPicture, type PointedPicture } from '@/platform/colourAt';
import { useColours } from '@/theme/useTheme';
import { Action } from '@/ui/actions/Action';
import { useBox } from '@/ui/layout/useBox';
import { Words } from '@/ui/layout/Words';
import { TextField } from './TextField';

interface Props {
  yarn: YarnSpec;
  onChange: (yarn: YarnSpec) => void;
}

const HEX = /^#?[0-9a-f]{6}$/i;

/** A yarn in a colour as it is typed: by a name, or as six digits; nothing typed is no colour. */
export function colouredYarn({ colour: _colour, hex, ...yarn }: YarnSpec, typed: string): YarnSpec {
  if (isBlank(typed)) return yarn;
  const digits = typed.trim();
  if (HEX.test(digits)) return { ...yarn, hex: `#${digits.replace('#', '').toLowerCase()}` };
  // a name that is a colour's says how it looks; of any other, what was picked stays
  return { ...yarn, colour: upTo(typed, 60), ...(hex && !usualHex(typed) ? { hex } : {}) };
}

/** How a yarn looks: by name, by its digits, or as it lies in a photograph. */
export function YarnColourField({ yarn, onChange }: Props) {
  const colours = useColours();
  const [picture, setPicture] = useState<PointedPicture>();
  const [problem, setProblem] = useState('');
  const typed = yarn.colour ?? yarn.hex ?? '';
  const shown = yarn.hex ?? (yarn.colour ? usualHex(yarn.colour) : undefined);
  const pick = (hex: string) => {
    // a name that tells another colour gives way to what is seen
    const keeps = yarn.colour !== undefined && !usualHex(yarn.colour);
    const { colour: _told, ...rest } = yarn;
    onChange({ ...(keeps ? yarn : rest), hex });
  };
  const choose = async () => {
    const file = await chooseFile('image/*');
    if (!file) return;
    try {
      const opened = await pointedPicture(file);
      setPicture(opened);
      setProblem('');
      pick(opened.colourAt(0.5, 0.5));
    } catch {
      setProblem(`“${file.name}” cannot be opened as a picture here. Choose a JPEG or PNG.`);
    }
  };
  const isUnknown = typed !== '' && !shown;
  return (
    <View style={STYLES.field}>
      <View style={STYLES.line}>
        <View style={{ flex: 1 }}>
          <TextField
            label="Colour"
            value={typed}
            onChange={(text) => onChange(colouredYarn(yarn, text))}
            hint={
              isUnknown
                ? `No colour is known by “${typed}”. Take it from a photo, or type it like #5e7f8e.`
                : 'A name, or like #5e7f8e. Pictures show it.'
            }
          />
        </View>
        <View
          style={[STYLES.seen, { backgroundColor: shown ?? 'transparent', borderColor: colours.line }]}
          aria-hidden
        />
      </View>
      {picture ? <Pointed picture={picture} onPoint={pick} /> : null}
      <View style={{ flexDirection: 'row' }}>
        <Action onPress={() => void choose()}>{picture ? 'Another photo' : 'Colour from a photo'}</Action>
      </View>
      {problem ? (
        <Words as="small" tone="rowan" live>
          {problem}
        </Words>
      ) : null}
    </View>
  );
}

/** Where in what is pressed a press came: a touch tells it by one name, a browser’s click by another, a key not at all. */
function placeOf(event: object): { x: number; y: number } | undefined {
  const told = event as { locationX?: number; locationY?: number; offsetX?: number; offsetY?: number; detail?: number };
  if (told.detail === 0) return undefined;
  const [x, y] = [told.locationX ?? told.offsetX, told.locationY ?? told.offsetY];
  return x === undefined || y === undefined ? undefined : { x, y };
}

/** The photograph, to be pointed at. */
function Pointed({ picture, onPoint }: { picture: PointedPicture; onPoint: (hex: string) => void }) {
  const { box, onLayout } = useBox();
  // never wider than its place
  const scale = Math.min(box.width / picture.width, WIDE / picture.width, HIGH / picture.height);
  const [width, height] = [picture.width * scale, picture.height * scale];
  const point = ({ nativeEvent }: GestureResponderEvent) => {
    const at = placeOf(nativeEvent);
    // pressed by a key it is pointed at nowhere: the middle is meant
    onPoint(at ? picture.colourAt(at.x / width, at.y / height) : picture.colourAt(0.5, 0.5));
  };
  return (
    <View onLayout={onLayout} style={{ gap: 4 }}>
      <Pressable role="button" aria-label="Point at the yarn in the photo" onPress={point} style={{ width, height }}>
        <Image source={{ uri: picture.uri }} style={{ width, height }} />
      </Pressable>
      <Words as="small" tone="faint">
        Point at the yarn where light and shade are even.
      </Words>
    </View>
  );
}

const WIDE = 260;
const HIGH = 200;

const STYLES = StyleSheet.create({
  field: { gap: 6, flexGrow: 1, flexShrink: 1, flexBasis: 240, minWidth: 0, maxWidth: '100%' },
  line: { flexDirection: 'row', alignItems: 'center', columnGap: 8 },
  seen: { width: 40, height: 40, borderWidth: 1, borderRadius: 20 },
});

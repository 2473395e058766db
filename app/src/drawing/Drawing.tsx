import type { ChartSymbol, Choice, LengthUnit, Plan, View } from '@keep-snug/core';
import { memo, useMemo, type ReactNode } from 'react';
import { StyleSheet, View as Box, type ViewStyle } from 'react-native';
import type { IconName } from '@/ui/actions/Icon';
import { IconAction } from '@/ui/actions/IconAction';
import { TapeStrip } from '@/ui/layout/Tape';
import { useBox } from '@/ui/layout/useBox';
import { useSettings } from '@/data/settings';
import type { Colours } from '@/theme/colours';
import { useColours } from '@/theme/useTheme';
import { borderInk, borderStitches } from './border';
import { clothInk, labelInk } from './cloth';
import { dimensionInk } from './dimensions';
import { Handles } from './Handles';
import { G, Block, Svg } from '@/ui/layout/ink';
import { layOut, mirrored, px, type Layout, clearOfBorders } from '@keep-snug/core/drawn';
import { markInk } from './mark';
import { stitchInk } from './stitches';
import { useZoom, WHOLE, type Zoom } from './useZoom';

/** What makes a drawing more than a picture: it can be drawn on, and looked into down to single stitches. */
export interface Work {
  choices: readonly Choice[];
  edit: (work: (plan: Plan) => Plan) => void;
  symbols: readonly (readonly ChartSymbol[])[];
}

interface Props extends Omit<DrawnProps, 'frame'> {
  height: number;
}

/** One view of the piece, to scale, as large as its place allows. */
export const Drawing = memo(function Drawing({ height, ...drawn }: Props) {
  return (
    <DrawingPlace height={height} looks={drawn.work !== undefined}>
      {(frame) => <Drawn frame={frame} {...drawn} />}
    </DrawingPlace>
  );
});

/** The room a drawing has, and how it is looked at. */
export interface Frame extends Pick<ReturnType<typeof useZoom>, 'zoom' | 'larger' | 'whole'> {
  width: number;
  height: number;
}

interface PlaceProps {
  height: number;
  /** Whether it can be looked into. */
  looks: boolean;
  children: (frame: Frame) => ReactNode;
}

/** Where a drawing lies: measured, and listening for wheel and fingers. It stays while what is drawn in it changes. */
export function DrawingPlace({ height, looks, children }: PlaceProps) {
  const { box, onLayout } = useBox();
  const { ref, zoom, larger, whole } = useZoom();
  const touch = looks ? (zoom.by > 1 ? STYLES.movable : STYLES.still) : null;
  const style = useMemo(() => ({ ...STYLES.place, ...touch, height }), [touch, height]);
  return (
    <Box ref={ref} onLayout={onLayout} style={style}>
      {children({ width: box.width, height, zoom: looks ? zoom : WHOLE, larger, whole })}
    </Box>
  );
}

interface DrawnProps {
  view: View;
  frame: Frame;
  /** Lay the tape under the piece. */
  tape?: boolean;
  /** Without dimensions and names, for a small picture beside words that tell them. */
  bare?: boolean;
  work?: Work;
}

/** What lies in the place: the piece with its tape, and what it is drawn and looked into by. */
export function Drawn({ view: given, frame, tape = false, bare = false, work }: DrawnProps) {
  const hand = useSettings((state) => state.hand);
  const units = useSettings((state) => state.units);
  const colours = useColours();
  const { width, height, zoom, larger, whole } = frame;
  const view = useMemo(() => clearOfBorders(hand === 'left' ? mirrored(given) : given), [given, hand]);
  const at = zoomed(layOut(view, width, height, bare), zoom);
  return (
    <>
      <Block role="img" aria-label={view.text} style={STYLES.whole}>
        {width > 0 ? (
          <Svg width={width} height={height} aria-hidden>
            <Piece
              view={view}
              at={at}
              width={width}
              height={height}
              symbols={work?.symbols}
              colours={colours}
              units={bare ? null : units}
              leftHand={hand === 'left'}
            />
            {tape ? (
              <G transform={`translate(${px(at.x)} ${px(Math.min(at.y + view.height * at.scale + 8, height - TAPE))})`}>
                <TapeStrip lengthMm={view.width} px={view.width * at.scale} />
              </G>
            ) : null}
          </Svg>
        ) : null}
      </Block>
      {work && width > 0 ? (
        <>
          <Handles
            view={view}
            choices={work.choices}
            layout={at}
            edit={work.edit}
            mirrored={hand === 'left'}
            units={units}
          />
          <ZoomKeys
            zoomed={zoom.by > 1}
            larger={larger}
            whole={whole}
            width={width}
            height={height}
            above={tape && zoom.by > 1 ? TAPE : 0}
            name={view.name}
          />
        </>
      ) : null}
    </>
  );
}

/** How much of the tape shows below a drawing that is looked into, px. */
const TAPE = 26;

const STYLES = StyleSheet.create({
  place: { width: '100%', overflow: 'hidden' },
  whole: { display: 'flex', width: '100%', height: '100%' },
  // a plain drag is the page's own, until there is something beyond the edge to be drawn into sight
  movable: { touchAction: 'none' } as ViewStyle,
  still: { touchAction: 'pan-y' } as ViewStyle,
});

function zoomed({ scale, x, y }: Layout, { by, x: dx, y: dy }: Zoom): Layout {
  return { scale: scale * by, x: x * by + dx, y: y * by + dy };
}

interface PieceProps {
  view: View;
  at: Layout;
  width: number;
  height: number;
  symbols?: Work['symbols'] | undefined;
  colours: Colours;
  /** The unit of its dimensions; none where it has neither dimensions nor names. */
  units: LengthUnit | null;
  leftHand: boolean;
}

function Piece({ view, at, width, height, symbols, colours, units, leftHand }: PieceProps) {
  const cloths = view.parts.filter((part) => part.type === 'cloth');
  const fabric = view.parts.filter((part) => part.type === 'cloth' || part.type === 'border');
  const marks = view.parts.filter(
    (part) => part.type !== 'cloth' && part.type !== 'dimension' && part.type !== 'border' && part.type !== 'ribbon',
  );
  const isUnder = (type: string) => type === 'cut' || type === 'fold' || type === 'thing';
  const under = marks.filter(({ type }) => isUnder(type));
  const over = marks.filter(({ type }) => !isUnder(type));
  const seen = { left: -at.x, top: -at.y, right: width - at.x, bottom: height - at.y };
  const ink = { scale: at.scale, colours, mirrored: leftHand };
  return (
    <G transform={`translate(${px(at.x)} ${px(at.y)})`}>
      {fabric.flatMap((part, index) =>
        // what lies over another part hides its stitches as well
        part.type === 'border'
          ? [
              borderInk(part, ink, `border ${index}`),
              symbols ? borderStitches(part, ink, `border stitches ${index}`) : null,
            ]
          : [
              ...clothInk(part, ink, `cloth ${index}`),
              ...(symbols ? stitchInk(part, ink, symbols, seen, `stitches ${index}`) : []),
            ],
      )}
      {under.map((part, index) => markInk(part, ink, `under ${index}`))}
      {units ? cloths.flatMap((part, index) => labelInk(part, ink, `label ${index}`)) : null}
      {over.map((part, index) => markInk(part, ink, `over ${index}`))}
      {units ? dimensionInk(view, ink, units) : null}
    </G>
  );
}

interface ZoomKeysProps extends Pick<ReturnType<typeof useZoom>, 'larger' | 'whole'> {
  zoomed: boolean;
  /** What lies below them, px. */
  above: number;
  name: string;
  width: number;
  height: number;
}

/** Larger, smaller, whole: for those without a wheel or two fingers. */
const ZoomKeys = memo(function ZoomKeys({ zoomed, above, name, width, height, larger, whole }: ZoomKeysProps) {
  const colours = useColours();
  const keys: { icon: IconName; label: string; press: () => void; off: boolean }[] = [
    { icon: 'larger', label: `Larger: ${name}`, press: () => larger(1.6, width, height), off: false },
    { icon: 'smaller', label: `Smaller: ${name}`, press: () => larger(1 / 1.6, width, height), off: !zoomed },
    { icon: 'whole', label: `Whole: ${name}`, press: whole, off: !zoomed },
  ];
  return (
    <Box
      style={{
        position: 'absolute',
        left: 0,
        bottom: above,
        flexDirection: 'row',
        ...(zoomed ? { backgroundColor: colours.chalk, opacity: 0.92 } : {}),
      }}
    >
      {keys
        .filter(({ off }) => !off)
        .map(({ icon, label, press }) => (
          <IconAction key={icon} label={label} icon={icon} onPress={press} />
        ))}
    </Box>
  );
});

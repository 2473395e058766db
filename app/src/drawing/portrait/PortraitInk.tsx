import type { Plan, Schools, SizeMade, Worked } from '@keep-snug/core';
import {
  portraitOf,
  portraitSvg,
  shareMade,
  type SideId,
  type InkNode,
  type InkTag,
  type Portrait,
  type RowsMade,
} from '@keep-snug/core/portrait';
import { createElement, memo, useId, useMemo, type ComponentType, type ReactElement } from 'react';
import { useSettings } from '@/data/settings';
import {
  Circle,
  ClipPath,
  Defs,
  G,
  LinearGradient,
  Path,
  Pattern,
  RadialGradient,
  Rect,
  Stop,
  Svg,
} from '@/ui/layout/ink';

export interface PortraitProps {
  plan: Plan;
  worked: Pick<Worked, 'views' | 'fabric' | 'pieces' | 'choices'>;
  /** Rows done of each piece, where it is not finished. */
  made?: RowsMade | undefined;
  /** Which side is seen; the front where there is no such side. */
  side?: SideId;
  /** With nothing in it. */
  empty?: boolean;
  /** How it came out against the plan, which is drawn about it in outline. */
  sizes?: readonly SizeMade[];
  /** Of its place, px; it is drawn as large as that allows. */
  width: number;
  height: number;
}

const INKS = {
  g: G,
  path: Path,
  rect: Rect,
  circle: Circle,
  defs: Defs,
  pattern: Pattern,
  clipPath: ClipPath,
  linearGradient: LinearGradient,
  radialGradient: RadialGradient,
  stop: Stop,
} satisfies Record<InkTag, unknown>;

const drawn = ({ tag, props, children }: InkNode, key: number): ReactElement =>
  createElement(INKS[tag] as ComponentType<object>, { key, ...props }, ...children.map(drawn));

const known = new WeakMap<object, { hand: Schools['hand']; portrait: Portrait }>();

/** The portrait of what was reckoned; the same is not laid twice. */
function portraitFor({ plan, worked }: Pick<PortraitProps, 'plan' | 'worked'>, hand: Schools['hand']): Portrait {
  const before = known.get(worked.views);
  if (before?.hand === hand) return before.portrait;
  const portrait = portraitOf(plan, worked, hand);
  known.set(worked.views, { hand, portrait });
  return portrait;
}

/** The same as an SVG picture, to be saved or painted. */
export function portraitText(
  plan: Plan,
  worked: Worked,
  hand: Schools['hand'],
  side: SideId,
  px: number,
  made?: RowsMade,
): string {
  const { sides, paint } = made ? portraitOf(plan, worked, hand, made) : portraitFor({ plan, worked }, hand);
  const one = sides.find(({ id }) => id === side) ?? sides[0]!;
  return portraitSvg(paint(one, `${one.id}-`), { width: px, height: px }, one.text);
}

/** A finished piece in yarn, from one side. */
export const PortraitInk = memo(function PortraitInk(props: PortraitProps) {
  const { plan, worked, made, side, empty = false, sizes, width, height } = props;
  const hand = useSettings((state) => state.hand);
  const id = useId().replaceAll(/\W/g, '');
  // counted anew at every row, and the same until then
  const rows = made && JSON.stringify(made);
  const seen = useMemo(() => {
    const { sides, paint } = rows
      ? portraitOf(plan, worked, hand, JSON.parse(rows) as RowsMade)
      : portraitFor({ plan, worked }, hand);
    const one = sides.find((other) => other.id === side) ?? sides[0];
    const share = sizes && shareMade(sizes);
    const shown = { empty, ...(share ? { share } : {}) };
    return one ? { text: one.text, ...paint(one, `${id}-`, shown) } : undefined;
  }, [plan, worked, rows, side, hand, id, empty, sizes]);
  if (!seen) return null;
  const { x, y, width: w, height: h } = seen.box;
  return (
    <Svg
      {...{ role: 'img', 'aria-label': seen.text }}
      width={width}
      height={height}
      viewBox={`${x} ${y} ${w} ${h}`}
      preserveAspectRatio="xMidYMid meet"
    >
      {seen.nodes.map(drawn)}
    </Svg>
  );
});

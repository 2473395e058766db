import type { View } from 'react-native';
import type * as Shapes from 'react-native-svg';

/**
 * The elements of an SVG as the browser has them, under the names and with the properties they have elsewhere. A drawing
 * is drawn anew at every movement of a hand, and elements without a component between them and the page cost a tenth.
 * Only properties the browser knows by the same name are used in drawings.
 */
const element = <Name extends keyof typeof Shapes>(tag: string) => tag as unknown as (typeof Shapes)[Name];

export const Circle = element<'Circle'>('circle');
export const ClipPath = element<'ClipPath'>('clipPath');
export const Defs = element<'Defs'>('defs');
export const G = element<'G'>('g');
export const Line = element<'Line'>('line');
export const LinearGradient = element<'LinearGradient'>('linearGradient');
export const Path = element<'Path'>('path');
export const Pattern = element<'Pattern'>('pattern');
export const Polygon = element<'Polygon'>('polygon');
export const Polyline = element<'Polyline'>('polyline');
export const RadialGradient = element<'RadialGradient'>('radialGradient');
export const Rect = element<'Rect'>('rect');
export const Stop = element<'Stop'>('stop');
export const Svg = element<'Svg'>('svg');
export const Text = element<'Text'>('text');
export const Block = 'div' as unknown as typeof View;

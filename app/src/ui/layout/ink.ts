/** What drawings are made of. On the web the same names stand for the browser's own elements: see ink.web.ts. */
export {
  Circle,
  ClipPath,
  Defs,
  G,
  Line,
  LinearGradient,
  Path,
  Pattern,
  Polygon,
  Polyline,
  RadialGradient,
  Rect,
  Stop,
  Svg,
  Text,
} from 'react-native-svg';

/** A box without anything of its own. */
export { View as Block } from 'react-native';

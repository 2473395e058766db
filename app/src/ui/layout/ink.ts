/** What drawings are made of. On the web the same names stand for the browser's own elements: see ink.web.ts. */
export { Circle, G, Line, Path, Polygon, Polyline, Rect, Svg, Text } from 'react-native-svg';

/** A box without anything of its own. */
export { View as Block } from 'react-native';

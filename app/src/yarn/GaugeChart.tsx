import { chosen, estimateSizes, fabricFromSwatch, stitchPattern, workFabric, yarnDiameter } from '@keep-snug/core';
import type { SwatchRecord, YarnRecord } from '@keep-snug/core/documents';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Text } from 'react-native-svg';
import { useBox } from '@/parts/useBox';
import { Words } from '@/parts/Words';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';

interface Props {
  yarn: YarnRecord;
  swatches: readonly SwatchRecord[];
}

const HEIGHT = 150;
const LEFT = 44;
const BOTTOM = 26;

/** Stitch width against hook: the estimate as a band, the maker's swatches as points on it. Your hand, seen. */
export function GaugeChart({ yarn, swatches }: Props) {
  const colours = useColours();
  const { box, onLayout } = useBox();
  const singles = swatches.filter(({ stitch, gauge }) => stitch === 'single' && gauge.stitches?.length);
  if (singles.length === 0) return null;
  const points = singles.map((swatch) => ({
    hook: swatch.hookMm,
    w: workFabric(fabricFromSwatch(swatch, yarn.yarn)).stitchWidth.value,
  }));
  const hooks = points.map(({ hook }) => hook);
  const [low, high] = [Math.max(0.5, Math.min(...hooks) - 1), Math.max(...hooks) + 1];
  const estimate = (hook: number) =>
    estimateSizes(chosen(hook, 'mm', 'hook'), yarnDiameter(yarn.yarn), stitchPattern('single'), 'rows').width;
  const all = [...points.map(({ w }) => w), estimate(low).value * 0.86, estimate(high).value * 1.14];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const x = (hook: number) => LEFT + ((hook - low) / (high - low)) * (box.width - LEFT - 12);
  const y = (w: number) => HEIGHT - BOTTOM - ((w - least) / (most - least)) * (HEIGHT - BOTTOM - 10);
  const edge = (share: number) =>
    [low, high].map((hook) => `${x(hook)} ${y(estimate(hook).value * (1 + share * 0.12))}`);
  const ratio = points.reduce((sum, { hook, w }) => sum + w / estimate(hook).value, 0) / points.length - 1;
  const share = Math.round(Math.abs(100 * ratio));
  const words =
    share === 0
      ? 'Your hand is that of the estimate.'
      : `Your hand is ${share} % ${ratio < 0 ? 'tighter' : 'looser'} than the estimate.`;
  const axis = { fontFamily: FAMILY.strong, fontSize: 13, fill: colours.faint };
  return (
    <View onLayout={onLayout} style={{ gap: 4 }}>
      <Words as="smallStrong" tone="thread">
        {words}
      </Words>
      {box.width > 0 ? (
        <View
          role="img"
          aria-label={`Stitch width against hook: ${points.map(({ hook, w }) => `${w.toFixed(1)} mm on ${hook} mm`).join(', ')}. ${words}`}
        >
          <Svg width={box.width} height={HEIGHT} aria-hidden>
            <Path d={`M${edge(-1).join('L')}L${edge(1).reverse().join('L')}z`} fill={colours.tape} opacity={0.35} />
            <Path
              d={`M${edge(0).join('L')}`}
              stroke={colours.ink}
              strokeWidth={1.5}
              strokeDasharray="5 4"
              fill="none"
            />
            <Line x1={LEFT} x2={box.width - 12} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} stroke={colours.faint} />
            <Line x1={LEFT} x2={LEFT} y1={6} y2={HEIGHT - BOTTOM} stroke={colours.faint} />
            {points.map(({ hook, w }, index) => (
              <Circle key={index} cx={x(hook)} cy={y(w)} r={6} fill={colours.thread} />
            ))}
            {[low, (low + high) / 2, high].map((hook) => (
              <Text key={hook} x={x(hook)} y={HEIGHT - 8} textAnchor="middle" {...axis}>
                {`${Math.round(10 * hook) / 10}`}
              </Text>
            ))}
            {[least, most].map((w) => (
              <Text key={w} x={LEFT - 6} y={y(w) + 5} textAnchor="end" {...axis}>
                {w.toFixed(1)}
              </Text>
            ))}
          </Svg>
        </View>
      ) : null}
      <Words as="small" tone="faint">
        mm a stitch, against the hook in mm; the band is the estimate
      </Words>
    </View>
  );
}

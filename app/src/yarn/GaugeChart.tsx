import {
  chosen,
  estimateSizes,
  fabricFromSwatch,
  stitchPattern,
  WIDTH_SPREAD,
  workFabric,
  yarnDiameter,
} from '@keep-snug/core';
import type { SwatchRecord, YarnRecord } from '@keep-snug/core/documents';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Text } from 'react-native-svg';
import { useReader } from '@/board/useWorked';
import { GAUGE_OVER } from '@/parts/gaugeOver';
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

/** Stitches to 10 cm or 4 in against the hook: the estimate as a band, the maker's own swatches as points on it. */
export function GaugeChart({ yarn, swatches }: Props) {
  const colours = useColours();
  const over = GAUGE_OVER[useReader().units];
  const { box, onLayout } = useBox();
  const singles = swatches.filter(({ stitch, gauge }) => stitch === 'single' && gauge.stitches?.length);
  if (singles.length === 0) return null;
  const points = singles.map((swatch) => ({
    hook: swatch.hookMm,
    count: over.mm / workFabric(fabricFromSwatch(swatch, yarn.yarn)).stitchWidth.value,
  }));
  const hooks = points.map(({ hook }) => hook);
  const [low, high] = [Math.max(0.5, Math.min(...hooks) - 1), Math.max(...hooks) + 1];
  const widthOn = (hook: number) =>
    estimateSizes(chosen(hook, 'mm', 'hook'), yarnDiameter(yarn.yarn), stitchPattern('single'), 'rows').width.value;
  const estimate = (hook: number, share = 0) => over.mm / (widthOn(hook) * (1 + share * WIDTH_SPREAD));
  const all = [...points.map(({ count }) => count), estimate(low, -1), estimate(high, 1)];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const x = scaleLinear([low, high], [LEFT, box.width - 12]);
  const y = scaleLinear([least, most], [HEIGHT - BOTTOM, 10]);
  const at = (share: number) => (hook: number) => y(estimate(hook, share));
  const band = area<number>().x(x).y0(at(-1)).y1(at(1));
  const middle = line<number>().x(x).y(at(0));
  const ratio = points.reduce((sum, { hook, count }) => sum + estimate(hook) / count, 0) / points.length - 1;
  const share = Math.round(Math.abs(100 * ratio));
  const words =
    share === 0
      ? 'Your gauge is as estimated.'
      : `Your gauge is ${share} % ${ratio < 0 ? 'tighter' : 'looser'} than the estimate.`;
  const axis = { fontFamily: FAMILY.strong, fontSize: 13, fill: colours.faint };
  return (
    <View onLayout={onLayout} style={{ gap: 4 }}>
      <Words as="smallStrong" tone="thread">
        {words}
      </Words>
      {box.width > 0 ? (
        <View
          role="img"
          aria-label={`Stitches to ${over.words} against the hook: ${points.map(({ hook, count }) => `${count.toFixed(1)} on ${hook} mm`).join(', ')}. ${words}`}
        >
          <Svg width={box.width} height={HEIGHT} aria-hidden>
            <Path d={band([low, high]) ?? ''} fill={colours.tape} opacity={0.35} />
            <Path
              d={middle([low, high]) ?? ''}
              stroke={colours.ink}
              strokeWidth={1.5}
              strokeDasharray="5 4"
              fill="none"
            />
            <Line x1={LEFT} x2={box.width - 12} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} stroke={colours.faint} />
            <Line x1={LEFT} x2={LEFT} y1={6} y2={HEIGHT - BOTTOM} stroke={colours.faint} />
            {points.map(({ hook, count }, index) => (
              <Circle key={index} cx={x(hook)} cy={y(count)} r={6} fill={colours.thread} />
            ))}
            {x.ticks(4).map((hook) => (
              <Text key={hook} x={x(hook)} y={HEIGHT - 8} textAnchor="middle" {...axis}>
                {x.tickFormat(4)(hook)}
              </Text>
            ))}
            {y.ticks(4).map((count) => (
              <Text key={count} x={LEFT - 6} y={y(count) + 5} textAnchor="end" {...axis}>
                {y.tickFormat(4)(count)}
              </Text>
            ))}
          </Svg>
        </View>
      ) : null}
      <Words as="small" tone="faint">
        {`Stitches to ${over.words}, against the hook in mm. The band is the estimate.`}
      </Words>
    </View>
  );
}

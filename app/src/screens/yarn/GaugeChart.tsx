import {
  chosen,
  estimateSizes,
  fabricFromSwatch,
  stitchPattern,
  WIDTH_SPREAD,
  workFabric,
  yarnDiameter,
  GAUGE_OVER,
} from '@keep-snug/core';
import type { SwatchRecord, YarnRecord } from '@keep-snug/core/documents';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { View } from 'react-native';
import { Circle, Path } from 'react-native-svg';
import { useReader } from '@/reading/useWorked';
import { CHART, ChartFrame } from '@/ui/layout/ChartFrame';
import { useBox } from '@/ui/layout/useBox';
import { useWord } from '@/reading/useWord';
import { Words } from '@/ui/layout/Words';
import { useColours } from '@/theme/useTheme';

interface Props {
  yarn: YarnRecord;
  swatches: readonly SwatchRecord[];
}

/** Stitches to 10 cm or 4 in against the hook: the estimate as a band, the maker's own swatches as points on it. */
export function GaugeChart({ yarn, swatches }: Props) {
  const colours = useColours();
  const over = GAUGE_OVER[useReader().units];
  const word = useWord();
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
  const x = scaleLinear([low, high], [CHART.left, box.width - CHART.right]);
  const y = scaleLinear([least, most], [CHART.height - CHART.bottom, CHART.top]);
  const at = (share: number) => (hook: number) => y(estimate(hook, share));
  const band = area<number>().x(x).y0(at(-1)).y1(at(1));
  const middle = line<number>().x(x).y(at(0));
  const ratio = points.reduce((sum, { hook, count }) => sum + estimate(hook) / count, 0) / points.length - 1;
  const share = Math.round(Math.abs(100 * ratio));
  const words =
    share === 0
      ? word('Your {gauge} is as estimated.')
      : word(`Your {gauge} is ${share} % ${ratio < 0 ? 'tighter' : 'looser'} than the estimate.`);
  return (
    <View onLayout={onLayout} style={{ gap: 4 }}>
      <Words as="smallStrong" tone="thread">
        {words}
      </Words>
      {box.width > 0 ? (
        <ChartFrame
          width={box.width}
          x={x}
          y={y}
          says={`Stitches to ${over.words} against the hook: ${points.map(({ hook, count }) => `${count.toFixed(1)} on ${hook} mm`).join(', ')}. ${words}`}
        >
          <Path d={band([low, high]) ?? ''} fill={colours.tape} opacity={0.35} />
          <Path
            d={middle([low, high]) ?? ''}
            stroke={colours.ink}
            strokeWidth={1.5}
            strokeDasharray="5 4"
            fill="none"
          />
          {points.map(({ hook, count }, index) => (
            <Circle key={index} cx={x(hook)} cy={y(count)} r={6} fill={colours.thread} />
          ))}
        </ChartFrame>
      ) : null}
      <Words as="small" tone="faint">
        {`Stitches to ${over.words}, against the hook in mm. The band is the estimate.`}
      </Words>
    </View>
  );
}

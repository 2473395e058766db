import { honestyOf, type Honesty } from '@keep-snug/core';
import { scaleLinear, scaleTime } from 'd3-scale';
import { View } from 'react-native';
import { Circle, Line, Rect } from 'react-native-svg';
import { CHART, ChartFrame } from '@/ui/layout/ChartFrame';
import { figureLength } from '@/ui/lists/figureLength';
import { useBox } from '@/ui/layout/useBox';
import { useWord } from '@/reading/useWord';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import type { FinishedMake } from '@/data/finished';

interface Props {
  makes: readonly FinishedMake[];
}

/** What all finished makes say together: sizes, chances, pace. Each is shown once there is something to show. */
export function Charts({ makes }: Props) {
  return (
    <View style={{ gap: 20 }}>
      <PlannedAndMade makes={makes} />
      <SaidAndDone makes={makes} />
      <PaceOverTime makes={makes} />
    </View>
  );
}

const upright = [CHART.height - CHART.bottom, CHART.top] as const;

function Chart({ title, children }: { title: string; children: (width: number) => React.ReactNode }) {
  const { box, onLayout } = useBox();
  return (
    <View role="group" aria-label={title} onLayout={onLayout} style={{ gap: 4 }}>
      <Words as="strong">{title}</Words>
      {box.width > 0 ? children(box.width) : null}
    </View>
  );
}

/** Every size that was measured against the planned one; on the line it came out as planned. */
function PlannedAndMade({ makes }: Props) {
  const colours = useColours();
  const units = useSettings((state) => state.units);
  const points = makes.flatMap(({ sizes }) => sizes.filter((size) => size.made !== undefined));
  if (points.length < 2) return null;
  const all = points.flatMap(({ planned, made }) => [planned, made!]);
  const [least, most] = [0.9 * Math.min(...all), 1.1 * Math.max(...all)];
  const off = points.reduce((sum, { planned, made }) => sum + Math.abs(made! / planned - 1), 0) / points.length;
  const says = `Of ${points.length} sizes measured, the mean is off by ${Math.round(100 * off)} %.`;
  const tell = (mm: number) => figureLength(mm, units);
  return (
    <Chart title="Planned and made">
      {(width) => {
        const x = scaleLinear([least, most], [CHART.left, width - CHART.right]);
        const y = scaleLinear([least, most], upright);
        return (
          <>
            <ChartFrame width={width} x={x} y={y} tellX={tell} tellY={tell} says={`Made against planned. ${says}`}>
              <Line
                x1={x(least)}
                y1={y(least)}
                x2={x(most)}
                y2={y(most)}
                stroke={colours.ink}
                strokeDasharray="5 4"
                strokeWidth={1.5}
              />
              {points.map(({ planned, made }, index) => (
                <Circle key={index} cx={x(planned)} cy={y(made!)} r={6} fill={colours.thread} />
              ))}
            </ChartFrame>
            <Words as="small" tone="faint">{`Made upwards, planned across. ${says}`}</Words>
          </>
        );
      }}
    </Chart>
  );
}

const inHundred = (share: number) => Math.round(100 * share);

const span = ({ from, to }: Honesty) =>
  to === 1 ? `over ${inHundred(from)}` : `${inHundred(from)} to ${inHundred(to)}`;

/** Of the makes said to fit so many times in a hundred, so many did, with the interval that so few leave. */
function SaidAndDone({ makes }: Props) {
  const colours = useColours();
  const told = makes.filter(({ fits }) => fits !== 'unsaid');
  if (told.length === 0) return null;
  const spans = honestyOf(told.map(({ said, fits }) => ({ said, fitted: fits === 'right' })));
  if (spans.length === 0)
    return (
      <View style={{ gap: 4 }}>
        <Words as="strong">Chance said, and what came of it</Words>
        <Words as="small" tone="faint">
          {`Of ${told.length} finished with a word on the fit, ${told.filter(({ fits }) => fits === 'right').length} sit just right. From five with a like chance on, this shows how far the chances can be trusted.`}
        </Words>
      </View>
    );
  const lines = spans.map((one) => `Said ${span(one)} in 100: ${one.fitted} of ${one.makes} fit.`);
  return (
    <Chart title="Chance said, and what came of it">
      {(width) => {
        const x = scaleLinear([0, 1], [CHART.left, width - CHART.right]);
        const y = scaleLinear([0, 1], upright);
        return (
          <>
            <ChartFrame
              width={width}
              x={x}
              y={y}
              tellX={(share) => String(inHundred(share))}
              tellY={(share) => String(inHundred(share))}
              says={lines.join(' ')}
            >
              <Line
                x1={x(0)}
                y1={y(0)}
                x2={x(1)}
                y2={y(1)}
                stroke={colours.ink}
                strokeDasharray="5 4"
                strokeWidth={1.5}
              />
              {spans.map(({ from, to, least, most, fitted, makes: of }) => (
                <Rect
                  key={from}
                  x={x(from) + 2}
                  width={x(to) - x(from) - 4}
                  y={y(most)}
                  height={y(least) - y(most)}
                  fill={colours.tape}
                  opacity={0.6}
                  aria-label={`${fitted} of ${of}`}
                />
              ))}
              {spans.map(({ from, to, fitted, makes: of }) => (
                <Line
                  key={from}
                  x1={x(from) + 2}
                  x2={x(to) - 2}
                  y1={y(fitted / of)}
                  y2={y(fitted / of)}
                  stroke={colours.thread}
                  strokeWidth={3}
                />
              ))}
            </ChartFrame>
            {lines.map((line) => (
              <Words key={line} as="small">
                {line}
              </Words>
            ))}
            <Words as="small" tone="faint">
              The pale field is where the truth lies 95 times in 100.
            </Words>
          </>
        );
      }}
    </Chart>
  );
}

/** Stitches a minute, make by make. */
function PaceOverTime({ makes }: Props) {
  const colours = useColours();
  const word = useWord();
  const points = makes.flatMap(({ finishedAt, perMinute }) =>
    perMinute === undefined ? [] : { at: new Date(finishedAt), perMinute },
  );
  if (points.length < 2) return null;
  const times = points.map(({ at }) => at.getTime());
  const rates = points.map(({ perMinute }) => perMinute);
  const mean = rates.reduce((sum, one) => sum + one, 0) / rates.length;
  const says = word(`About ${Math.round(mean)} {single} a minute, breaks left out.`);
  return (
    <Chart title="Pace">
      {(width) => {
        const x = scaleTime(
          [new Date(Math.min(...times) - MARGIN_MS), new Date(Math.max(...times) + MARGIN_MS)],
          [CHART.left, width - CHART.right],
        );
        const y = scaleLinear([0, 1.3 * Math.max(...rates)], upright);
        return (
          <>
            <ChartFrame width={width} x={x} y={y} says={`Stitches a minute over time. ${says}`}>
              {points.map(({ at, perMinute }, index) => (
                <Circle key={index} cx={x(at)} cy={y(perMinute)} r={6} fill={colours.thread} />
              ))}
            </ChartFrame>
            <Words as="small" tone="faint">
              {says}
            </Words>
          </>
        );
      }}
    </Chart>
  );
}

/** What is left free at both ends of the time, three days. */
const MARGIN_MS = 3 * 86_400_000;

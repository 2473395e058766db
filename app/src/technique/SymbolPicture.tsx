import type { ChartSymbol } from '@keep-snug/core';
import { Path, Svg } from '@/ui/layout/ink';
import { useColours } from '@/theme/useTheme';

const SIZE = 44;

/** The sign a chart has for it. */
export function SymbolPicture({ symbol, size = SIZE }: { symbol: ChartSymbol; size?: number }) {
  const colours = useColours();
  return (
    <Svg aria-hidden width={size} height={size} viewBox="-30 -30 60 60">
      <Path
        d={symbol(0, 0, 36, 42)}
        fill="none"
        stroke={colours.ink}
        strokeWidth={3.4}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </Svg>
  );
}

import type { Plan } from '@keep-snug/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Path, Svg } from '@/ui/layout/ink';
import { planLink } from '@keep-snug/core/link';
import { Words } from '@/ui/layout/Words';
import { origin } from '@/platform/page';

/** As large as a phone reads it from paper, px of the page. */
const SIZE = 190;

interface Code {
  /** Modules on a side, and those that are dark as a path. */
  side: number;
  d: string;
}

/** The code of an address; nothing where it holds more than a code can. */
async function codeOf(address: string): Promise<Code | null> {
  try {
    const { create } = await import('qrcode');
    const { modules } = create(address, { errorCorrectionLevel: 'L' });
    const { size, data } = modules;
    const dark = Array.from(data).flatMap((is, index) =>
      is ? [`M${index % size} ${Math.floor(index / size)}h1v1h-1z`] : [],
    );
    return { side: size, d: dark.join('') };
  } catch {
    return null;
  }
}

/** On paper: the code that opens this plan again from the printed page. */
export function PlanCode({ plan }: { plan: Plan }) {
  const [code, setCode] = useState<Code | null>(null);
  useEffect(() => {
    let left = false;
    void codeOf(planLink(plan, origin())).then((made) => {
      if (!left) setCode(made);
    });
    return () => {
      left = true;
    };
  }, [plan]);
  if (!code) return null;
  return (
    <View {...{ dataSet: { print: 'only' } }} style={{ gap: 4 }}>
      <Svg
        {...{ role: 'img', 'aria-label': 'Code that opens this plan' }}
        width={SIZE}
        height={SIZE}
        viewBox={`-2 -2 ${code.side + 4} ${code.side + 4}`}
      >
        <Path d={code.d} fill="#000" />
      </Svg>
      <Words as="small">Scan this code to open the plan again.</Words>
    </View>
  );
}

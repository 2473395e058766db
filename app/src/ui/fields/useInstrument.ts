import type { InstrumentKind } from '@keep-snug/core/documents';
import { useEffect, useRef, useState } from 'react';
import { leaveReadings, takeReadings, useInstruments } from '@/data/instruments';

const NAMES: Readonly<Record<Exclude<InstrumentKind, 'clicker'>, string>> = { calliper: 'Calipers', scale: 'Scale' };

/** A field that takes readings while it is typed in, and says so where a device is there. */
export function useInstrument(kind: keyof typeof NAMES | null, take: (value: number) => void) {
  const [focused, setFocused] = useState(false);
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  const device = useInstruments(({ present }) => present.find((one) => one.kind === kind));
  return {
    focus: () => {
      if (!kind) return;
      setFocused(true);
      takeReadings({ kind, take: (value) => latest.current(value) });
    },
    leave: () => {
      setFocused(false);
      leaveReadings();
    },
    says: focused && kind && device ? `${NAMES[kind]} ${device.name} connected: press its button.` : undefined,
  };
}

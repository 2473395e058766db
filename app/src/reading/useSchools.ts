import type { Schools } from '@keep-snug/core';
import { useMemo } from 'react';
import { useSettings } from '@/data/settings';

/** How whoever holds this device works and reads, as it is set. */
export function useSchools(): Schools {
  const { terms, units, hand, rounds, turningChain, ring, foundation } = useSettings();
  return useMemo(
    () => ({ terms, units, hand, rounds, turningChainCounts: turningChain === 'counts', ring, foundation }),
    [terms, units, hand, rounds, turningChain, ring, foundation],
  );
}

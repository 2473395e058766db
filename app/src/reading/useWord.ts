import { wordText } from '@keep-snug/core';
import { useCallback } from 'react';
import { useSettings } from '@/data/settings';

/** Fills what a text of the core leaves open, in this reader’s terms, unit and hand. */
export function useWord(): (text: string) => string {
  const terms = useSettings((state) => state.terms);
  const units = useSettings((state) => state.units);
  const hand = useSettings((state) => state.hand);
  return useCallback((text) => wordText(text, { terms, units, hand }), [terms, units, hand]);
}

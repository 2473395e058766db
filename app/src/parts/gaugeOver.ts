/** The length a gauge is counted over, by the unit in use: as makers say it. */
export const GAUGE_OVER = {
  mm: { mm: 100, words: '10 cm' },
  cm: { mm: 100, words: '10 cm' },
  m: { mm: 100, words: '10 cm' },
  in: { mm: 101.6, words: '4 in' },
} as const;

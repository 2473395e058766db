import { useEffect } from 'react';
import { layStyle } from '@/platform/page';

/** On paper: no scrolling boxes, nothing to press, ink on white, no step cut in two. */
const STYLE = `[data-print="only"] { display: none; }
@media print {
  [data-print="only"] { display: flex !important; }
  @page { margin: 14mm; }
  html, body, #root, #root *:not(svg, svg *) { height: auto !important; max-height: none !important; overflow: visible !important; }
  #root [dir] { color: #17262E !important; }
  #root div { background-color: transparent !important; }
  [role="banner"], [data-screen="only"] { display: none !important; }
  [data-print="whole"] { break-inside: avoid; }
}`;

/** Lays the print style over the page for as long as the sheet is open. */
export function usePrintStyle(): void {
  useEffect(() => layStyle(STYLE), []);
}

import { useEffect } from 'react';
import type { Colours } from './colours';
import { useColours } from './useTheme';
import { layStyle } from '@/platform/page';

/** What the component library leaves out on the web: a focus that shows by the keyboard, and less movement where asked. */
const styleOf = ({
  sea,
}: Colours) => `:focus-visible { outline: 3px solid ${sea} !important; outline-offset: 1px !important; }
h1[tabindex="-1"]:focus, [role="heading"][tabindex="-1"]:focus { outline: none !important; }
@keyframes drawn { from { stroke-dashoffset: 1; } to { stroke-dashoffset: 0; } }
[data-drawn] { stroke-dasharray: 1; animation: drawn 700ms ease-out; }
@media (prefers-reduced-motion: reduce) { [data-drawn] { animation: none; } [data-paper-ripple] { display: none; } * { transition-duration: 0.01ms !important; } }`;

/** Lays one style over the whole app. */
export function useGlobalStyle(): void {
  const colours = useColours();
  useEffect(() => layStyle(styleOf(colours)), [colours]);
}

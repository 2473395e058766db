/** The page itself: where it is, what it hears, what has the focus. Where there is no page, as in a test of one part, nothing is heard. */

/** Whether there is a page at all. */
export const hasPage = (): boolean => typeof document !== 'undefined';

/** Hears what the page tells; gives what ends it. */
export function onPage<Type extends keyof DocumentEventMap>(
  type: Type,
  hear: (event: DocumentEventMap[Type]) => void,
): () => void {
  const page = globalThis.document;
  page?.addEventListener?.(type, hear);
  return () => page?.removeEventListener?.(type, hear);
}

/** Hears what the window tells; gives what ends it. */
export function onWindow<Type extends keyof WindowEventMap>(
  type: Type,
  hear: (event: WindowEventMap[Type]) => void,
): () => void {
  const told = hear as EventListener;
  globalThis.addEventListener?.(type, told);
  return () => globalThis.removeEventListener?.(type, told);
}

/** Whether the page is the one that is worked in. */
export const hasFocus = (): boolean => globalThis.document?.hasFocus?.() !== false;

/** Whether the page is in sight. */
export const isInSight = (): boolean => globalThis.document?.visibilityState === 'visible';

/** What has the focus. */
export const focused = (): HTMLElement | null => (globalThis.document?.activeElement as HTMLElement | null) ?? null;

/** The element of an id. */
export const elementOf = (id: string): HTMLElement | null => globalThis.document?.getElementById?.(id) ?? null;

/** The first element whose spoken name ends so. */
export const namedToEnd = (words: string): HTMLElement | null =>
  globalThis.document?.querySelector<HTMLElement>(`[aria-label$="${words}"]`) ?? null;

/** Names the page in the browser. */
export function namePage(name: string): void {
  if (hasPage()) document.title = name;
}

/** Lays a style over the page; gives what takes it off. */
export function layStyle(css: string): () => void {
  const style = document.createElement('style');
  style.textContent = css;
  document.head.append(style);
  return () => style.remove();
}

/** Fetches a script ahead of need. */
export function fetchAhead(href: string): void {
  document.head.append(Object.assign(document.createElement('link'), { rel: 'prefetch', href }));
}

/** Where this house is reached: scheme, name and port. */
export const origin = (): string => globalThis.location?.origin ?? '';

/** What stands behind the address, from its hash on. */
export const fragment = (): string => globalThis.location?.hash ?? '';

/** Leaves for an address, as if it had been typed. @returns false where nothing can be left for */
export function leaveFor(address: string): boolean {
  if (!globalThis.location?.assign) return false;
  globalThis.location.assign(address);
  return true;
}

/** Begins the page anew. */
export const beginAnew = (): void => globalThis.location.reload();

/** Prints the page. */
export const printPage = (): void => globalThis.window.print();

/** Tells the browser's own console of an error that nobody expected. */
export const reportFault = (error: unknown): void => globalThis.reportError?.(error);

/** Whether a style's condition holds here, such as a wish for less movement. */
export const styleHolds = (condition: string): boolean =>
  typeof globalThis.matchMedia === 'function' && globalThis.matchMedia(condition).matches;

/** Whether the browser keeps this page by a worker: the line to it is trusted, and it knows how. */
export const keepsPages = (): boolean =>
  globalThis.window?.isSecureContext !== false && typeof navigator !== 'undefined' && 'serviceWorker' in navigator;

/** What only lies round something that has a name is not stopped at by the Tab key. @param round what holds the one that lies round */
export function passedByTab(round: unknown): void {
  (round as Element | null)?.firstElementChild?.setAttribute?.('tabindex', '-1');
}

/** What the device itself can do besides showing a page: hand a text on, take a picture, tremble. */

/** Whether the device has a way of its own to hand something on. */
export const canShare = (): boolean => typeof globalThis.navigator?.share === 'function';

/** Hands a text or an address on by the device's own way; whoever changes their mind is told nothing. */
export const share = (what: { title: string; text?: string; url?: string }): void =>
  void navigator.share(what).catch(() => undefined);

const fileOf = (blob: Blob, name: string): File => new File([blob], name, { type: blob.type || 'application/pdf' });

/** Whether the device hands files on as well. */
export const canShareFile = (blob: Blob, name: string): boolean =>
  canShare() && Boolean(navigator.canShare?.({ files: [fileOf(blob, name)] }));

/** Hands a file on by the device's own way. */
export const shareFile = (blob: Blob, name: string, title: string): void =>
  void navigator.share({ title, files: [fileOf(blob, name)] }).catch(() => undefined);

/** Copies a text. @throws Error where the browser lets no page do that */
export async function copyText(text: string): Promise<void> {
  if (!navigator.clipboard) throw new Error('no clipboard');
  await navigator.clipboard.writeText(text);
}

/** Whether the device has a camera that a page may ask for: only where nobody can listen in on it. */
export const hasCamera = (): boolean => typeof globalThis.navigator?.mediaDevices?.getUserMedia === 'function';

/** Opens the camera that looks away from the reader. */
export const openCamera = (): Promise<MediaStream> =>
  navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });

/** Lets the device tremble, where it can. @param ms for how long, and how long not, in turn */
export const tremble = (ms: number | number[]): void => void globalThis.navigator?.vibrate?.(ms);

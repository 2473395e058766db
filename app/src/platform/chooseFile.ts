/** Which camera a phone takes the picture with, where it offers to. */
type Capture = 'environment';

/** Lets the device's own dialog choose files; none where it is closed without one. */
export function chooseFiles(
  accept: string,
  { several = true, capture }: { several?: boolean; capture?: Capture | undefined } = {},
): Promise<File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    Object.assign(input, { type: 'file', accept, multiple: several });
    if (capture) input.capture = capture;
    input.addEventListener('change', () => resolve(Array.from(input.files ?? [])));
    input.addEventListener('cancel', () => resolve([]));
    input.click();
  });
}

/** One file of the device's own dialog; nothing where it is closed without one. */
export const chooseFile = async (accept: string, capture?: Capture): Promise<File | undefined> =>
  (await chooseFiles(accept, { several: false, capture }))[0];

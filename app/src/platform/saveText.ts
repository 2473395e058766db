/** Hands a text to the browser as a file. */
export const saveText = (text: string, name: string, type: string): void => saveBlob(new Blob([text], { type }), name);

/** Hands bytes to the browser as a file. */
export function saveBlob(blob: Blob, name: string): void {
  const href = URL.createObjectURL(blob);
  saveFrom(href, name);
  URL.revokeObjectURL(href);
}

/** Lets the browser fetch a file from an address of this house, and keep it. */
export function saveFrom(href: string, name: string): void {
  Object.assign(document.createElement('a'), { href, download: name }).click();
}

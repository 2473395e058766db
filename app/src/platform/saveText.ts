/** Hands a text to the browser as a file. */
export const saveText = (text: string, name: string, type: string): void => saveBlob(new Blob([text], { type }), name);

/** Hands bytes to the browser as a file. */
export function saveBlob(blob: Blob, name: string): void {
  const href = URL.createObjectURL(blob);
  const link = document.createElement('a');
  Object.assign(link, { href, download: name });
  link.click();
  URL.revokeObjectURL(href);
}

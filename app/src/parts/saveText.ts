/** Hands a text to the browser as a file. */
export function saveText(text: string, name: string, type: string): void {
  const href = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  Object.assign(link, { href, download: name });
  link.click();
  URL.revokeObjectURL(href);
}

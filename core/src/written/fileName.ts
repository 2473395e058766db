const LONGEST_NAME = 60;

/** A file’s name from a plan’s title: its letters and digits, with hyphens between. */
export function fileNameOf(title: string, ending: string): string {
  const name = title
    .normalize('NFKD')
    .replace(/[\u0300-\u036f’']/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
    .slice(0, LONGEST_NAME)
    .replace(/-+$/, '');
  return `${name || 'pattern'}.${ending}`;
}

import { readFileSync } from 'node:fs';

interface Chapter {
  title: string;
  text: readonly string[];
  picture?: string;
  shows?: string;
}

const CHAPTERS = new URL('../app/src/screens/guide/chapters.json', import.meta.url);

/** The first hour as the app tells it. */
export const chapters = (): Chapter[] => JSON.parse(readFileSync(CHAPTERS, 'utf8')) as Chapter[];

/** The same as a page of the docs, with the pictures that are there. */
export function guidePage(): string {
  const parts = chapters().map(({ title, text, picture, shows }, index) =>
    [`## ${index + 1}. ${title}`, ...text, ...(picture ? [`![${shows}](screenshots/${picture}.png)`] : [])].join(
      '\n\n',
    ),
  );
  return (
    [
      '# How it goes',
      'From an empty bench to a finished cover, and the second one made from what was learnt.',
      ...parts,
    ].join('\n\n') + '\n'
  );
}

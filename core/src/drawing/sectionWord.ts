/** Sections whose name is not the word makers read. */
const WORDS: Readonly<Record<string, string>> = {
  turn: 'top fold',
  tab: 'tabs',
  tongue: 'top handle',
};

/** A section as it is called on the sheet, in the counter room and on the drawing: one name for one thing. */
export const sectionWord = (section: string): string => WORDS[section] ?? section.replace(/-/g, ' ');

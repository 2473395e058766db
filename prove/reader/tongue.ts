import type { Sheet } from './sheet';

/**
 * Every pattern in one tongue: abbreviations at their length, by the pattern's own list, and stitches as the US calls them.
 * What is abbreviated and not in the list stays as it is, and is not understood.
 */
export function inOneTongue({
  abbreviations,
  terms,
}: Pick<Sheet, 'abbreviations' | 'terms'>): (text: string) => string {
  const longest = [...abbreviations].sort(([a], [b]) => b.length - a.length);
  const spelled = longest.map(
    ([short, name]) => [new RegExp(`(?<![\\w-])${short}(?![\\w-])`, 'gi'), name.split(', ')[0]!] as const,
  );
  return (text) => {
    const quoted: string[] = [];
    const bare = text.replace(/“[^”]*”/g, (own) => `“${quoted.push(own)}”`);
    const long = spelled.reduce(
      (said, [short, name]) => said.replace(short, (whole) => (isCapital(whole) ? capital(name) : name)),
      bare,
    );
    const plain = (terms === 'UK' ? asInUS(long) : long)
      .replace(/\bch-(\d+) /gi, 'chain-$1 ')
      .replace(/([^.!?;:] )Row (\d+) of/g, '$1row $2 of');
    return plain
      .replace(
        /(^|[.?!] |\(\d+ (?:stitch|loop)[^()]*\) )([a-z])/g,
        (_, before: string, first: string) => before + first.toUpperCase(),
      )
      .replace(/“(\d+)”/g, (_, at: string) => quoted[Number(at) - 1]!);
  };
}

const isCapital = (word: string) => /^[A-Z]/.test(word) && !/^[A-Z]{2}/.test(word);
const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

/** UK names to US ones, all at once: each name of the one is another stitch in the other. */
const US_FOR: Readonly<Record<string, string>> = {
  'double treble': 'treble',
  'half treble': 'half double',
  treble: 'double',
  double: 'single',
};

function asInUS(text: string): string {
  return text
    .replace(
      /\b(double treble|half treble|treble|double)( crochet)?(?= |\b)/gi,
      (whole: string, name: string, word: string | undefined) => {
        const us = US_FOR[name.toLowerCase()]!;
        if (word === undefined && !/treble/i.test(name)) return whole;
        return (isCapital(whole) ? capital(us) : us) + ' crochet';
      },
    )
    .replace(/\bmissed\b/g, 'skipped')
    .replace(/\bMissed\b/g, 'Skipped')
    .replace(/\bmiss\b/g, 'skip')
    .replace(/\bMiss\b/g, 'Skip')
    .replace(/\btension\b/g, 'gauge')
    .replace(/\bTension\b/g, 'Gauge');
}

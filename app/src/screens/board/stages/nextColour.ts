/** A name for one colour more, until it has one of its own: the first number that none of them has. */
export function nextColour(colours: readonly { name: string }[]): string {
  const taken = new Set(colours.map(({ name }) => name));
  const numbers = Array.from({ length: colours.length + 1 }, (_, at) => `colour ${colours.length + 1 + at}`);
  return numbers.find((name) => !taken.has(name))!;
}

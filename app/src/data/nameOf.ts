/** What a document is called, whatever its kind: by its title, its name, or what is said of one that has neither. */
export function nameOf(body: unknown, otherwise = 'your hours'): string {
  const { title, name } = (body ?? {}) as { title?: unknown; name?: unknown };
  return String(title ?? name ?? otherwise).slice(0, 120);
}

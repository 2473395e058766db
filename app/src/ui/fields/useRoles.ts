import { useEffect, useRef } from 'react';
import type { View } from 'react-native';

/** What a row of choices is, and so each of its parts. */
const ROLES = { tablist: ['tab', 'aria-selected'], radiogroup: ['radio', 'aria-checked'] } as const;

const arrowOf = (key: string) => (/^Arrow(Right|Down)$/.test(key) ? 1 : /^Arrow(Left|Up)$/.test(key) ? -1 : 0);

/**
 * The library draws choices as plain buttons on the web. This tells what they are and which is in force, makes them one
 * stop of the Tab key, and lets the arrows move among them and choose as they go.
 * @param group what the row is
 * @param chosen which of its parts is in force, by number; -1 for none
 * @param choose told which one an arrow came to
 * @returns the ref of the row
 */
export function useRoles(group: keyof typeof ROLES, chosen: number, choose: (index: number) => void) {
  const ref = useRef<View>(null);
  const latest = useRef(choose);
  useEffect(() => {
    latest.current = choose;
  });
  useEffect(() => {
    const row = ref.current as unknown as HTMLElement | null;
    if (!row?.querySelectorAll) return undefined;
    // a group of the library's own within this one has no name
    for (const inner of Array.from(row.querySelectorAll('[role="radiogroup"]'))) inner.removeAttribute('role');
    const found = Array.from(row.querySelectorAll<HTMLElement>('[tabindex], button'));
    const parts = found.filter((part) => !found.some((other) => other !== part && other.contains(part)));
    // a sign within a choice is pressed with it and says nothing by itself
    for (const sign of found.filter((part) => !parts.includes(part))) {
      sign.removeAttribute('role');
      sign.removeAttribute('aria-live');
      sign.setAttribute('aria-hidden', 'true');
      sign.tabIndex = -1;
    }
    const [role, state] = ROLES[group];
    parts.forEach((part, index) => {
      part.setAttribute('role', role);
      part.setAttribute(state, String(index === chosen));
      part.tabIndex = index === Math.max(0, chosen) ? 0 : -1;
    });
    const onKeyDown = (event: KeyboardEvent) => {
      const from = parts.indexOf(event.target as HTMLElement);
      if (from < 0) return;
      if (event.key === ' ') {
        event.preventDefault();
        event.stopPropagation();
        return latest.current(from);
      }
      const step = arrowOf(event.key);
      if (step === 0) return;
      // the room's own keys are not meant
      event.preventDefault();
      event.stopPropagation();
      const to = (from + step + parts.length) % parts.length;
      latest.current(to);
      parts[to]!.focus();
    };
    row.addEventListener('keydown', onKeyDown);
    return () => row.removeEventListener('keydown', onKeyDown);
  });
  return ref;
}

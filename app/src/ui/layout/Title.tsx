import { usePathname } from 'expo-router';
import { useEffect, useId } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { useArrived } from './arrived';
import { Words } from './Words';
import { elementOf, namePage } from '@/platform/page';

/**
 * The name of a page: its level-1 heading, the browser's title, and, after going there from another page, where the focus
 * is, so that readers and keys begin at the top.
 */
export function Title({ children, style }: { children: string; style?: StyleProp<TextStyle> }) {
  const id = useId();
  usePageTitle(children);
  useFocusOnArrival(id);
  return (
    <Words id={id} as="title" level={1} style={style}>
      {children}
    </Words>
  );
}

/** Names the page in the browser. */
export function usePageTitle(name: string): void {
  useEffect(() => {
    namePage(`${name} · Keep Snug`);
  }, [name]);
}

/** Gives an element the focus when the page was come to from another one; not at the first start, nor over a field. */
export function useFocusOnArrival(id: string): void {
  const path = usePathname();
  useEffect(() => {
    const { path: cameFrom, at } = useArrived.getState();
    at(path);
    const node = elementOf(id);
    if (cameFrom === null || cameFrom === path || !node) return;
    node.setAttribute('tabindex', '-1');
    node.focus({ preventScroll: true });
  }, [path, id]);
}

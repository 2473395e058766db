import { lazy, Suspense, type ComponentType } from 'react';

/** A room whose script is fetched when it is first entered; until it is there, the shape of a page stands in its place. */
export function later<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Room = lazy(async () => ({ default: await load() }));
  return function Later(props: P) {
    return (
      <Suspense fallback={null}>
        <Room {...props} />
      </Suspense>
    );
  };
}

/** Whether a script could not be fetched, as while the server is away: nothing is wrong with it. */
export const isUnfetched = ({ message }: Error): boolean => /^Loading module/.test(message);

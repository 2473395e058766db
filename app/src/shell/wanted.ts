import { usePathname } from 'expo-router';
import { useEffect } from 'react';

let wanted = '/';

/** Remembers where the maker is or wants to be: a screen that fails takes the address down with it. */
export function useWanted(): void {
  const path = usePathname();
  useEffect(() => {
    wanted = path;
  }, [path]);
}

/** The place last asked for. */
export const wantedPlace = (): string => wanted;

import { useEffect, useState } from 'react';

/** What is done sooner than this shows nothing of itself, ms. */
const SOON = 400;

/** Whether what is shown has stood there for a while. */
export function useLate(): boolean {
  const [isLate, setLate] = useState(false);
  useEffect(() => {
    const waiting = setTimeout(() => setLate(true), SOON);
    return () => clearTimeout(waiting);
  }, []);
  return isLate;
}

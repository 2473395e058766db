import { useEffect, useState } from 'react';
import { whenIdle } from './idle';

/** The page's first drawing is what others wait for; once it was idle, a place that is come back to is drawn whole. */
const page = { wasIdle: false };

/** Whether what is looked at first has been drawn: what can wait is worked out then. */
export function useIdle(): boolean {
  const [isIdle, setIdle] = useState(() => page.wasIdle);
  useEffect(() => {
    let left = false;
    void whenIdle().then(() => {
      page.wasIdle = true;
      if (!left) setIdle(true);
    });
    return () => {
      left = true;
    };
  }, []);
  return isIdle;
}

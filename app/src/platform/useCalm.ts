import { useEffect, useState } from 'react';
import { calm } from './calm';

/** The page's first drawing is what others wait for; once it was calm, a place that is come back to is drawn whole. */
const page = { wasCalm: false };

/** Whether what is looked at first has been drawn: what can wait is worked out then. */
export function useCalm(): boolean {
  const [isCalm, setCalm] = useState(() => page.wasCalm);
  useEffect(() => {
    let left = false;
    void calm().then(() => {
      page.wasCalm = true;
      if (!left) setCalm(true);
    });
    return () => {
      left = true;
    };
  }, []);
  return isCalm;
}

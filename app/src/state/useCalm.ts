import { useEffect, useState } from 'react';
import { calm } from './calm';

/** Whether what is looked at first has been drawn: what can wait is worked out then. */
export function useCalm(): boolean {
  const [isCalm, setCalm] = useState(false);
  useEffect(() => {
    let left = false;
    void calm().then(() => left || setCalm(true));
    return () => {
      left = true;
    };
  }, []);
  return isCalm;
}

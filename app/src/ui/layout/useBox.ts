import { useCallback, useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';

/** The size a view was given, for drawing into it. */
export function useBox() {
  const [box, setBox] = useState({ width: 0, height: 0 });
  const onLayout = useCallback(({ nativeEvent }: LayoutChangeEvent) => {
    const { width, height } = nativeEvent.layout;
    setBox((old) => (old.width === width && old.height === height ? old : { width, height }));
  }, []);
  return { box, onLayout };
}

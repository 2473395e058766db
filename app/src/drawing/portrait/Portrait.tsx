import { View } from 'react-native';
import { later } from '@/ui/layout/later';
import { useBox } from '@/ui/layout/useBox';
import type { portraitText as PortraitText, PortraitProps } from './PortraitInk';

const Ink = later<PortraitProps>(() => import('./PortraitInk').then(({ PortraitInk }) => PortraitInk));

/** Its picture as SVG text, by the same script. */
export const portraitPicture: (...asked: Parameters<typeof PortraitText>) => Promise<string> = async (...asked) =>
  (await import('./PortraitInk')).portraitText(...asked);

type Props = Omit<PortraitProps, 'width'> & { width?: number };

/** A finished piece in yarn, as large as its place; its script comes when the first is drawn. */
export function Portrait({ width, height, ...seen }: Props) {
  const { box, onLayout } = useBox();
  const wide = width ?? box.width;
  return (
    <View onLayout={onLayout} style={{ width: width ?? '100%', height }}>
      {wide > 0 ? <Ink {...seen} width={wide} height={height} /> : null}
    </View>
  );
}

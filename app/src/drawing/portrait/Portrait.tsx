import { Component, type ReactNode } from 'react';
import { View } from 'react-native';
import { reportFault } from '@/platform/page';
import { isUnfetched, later } from '@/ui/layout/later';
import { useBox } from '@/ui/layout/useBox';
import type { portraitText as PortraitText, PortraitProps } from './PortraitInk';

const Ink = later<PortraitProps>(() => import('./PortraitInk').then(({ PortraitInk }) => PortraitInk));

/** Its picture as SVG text, by the same script. */
export const portraitPicture: (...asked: Parameters<typeof PortraitText>) => Promise<string> = async (...asked) =>
  (await import('./PortraitInk')).portraitText(...asked);

/** A picture that cannot be drawn leaves its place empty, and the page as it is. */
class Unseen extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError(): { failed: boolean } {
    return { failed: true };
  }

  override componentDidCatch(error: Error): void {
    // while the server is away its script may not be there: that is no fault
    if (!isUnfetched(error)) reportFault(error);
  }

  override render(): ReactNode {
    return this.state.failed ? null : this.props.children;
  }
}

type Props = Omit<PortraitProps, 'width'> & { width?: number };

/** A finished piece in yarn, as large as its place; its script comes when the first is drawn. */
export function Portrait({ width, height, ...seen }: Props) {
  const { box, onLayout } = useBox();
  const wide = width ?? box.width;
  return (
    <View onLayout={onLayout} style={{ width: width ?? '100%', height }}>
      {wide > 0 ? (
        <Unseen key={seen.side}>
          <Ink {...seen} width={wide} height={height} />
        </Unseen>
      ) : null}
    </View>
  );
}

import type { Plan } from '@keep-snug/core';
import { planLink } from '@keep-snug/core/link';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { Away, printed } from '@/data/api';
import { useSettings } from '@/data/settings';
import { canShare, canShareFile, copyText, share, shareFile } from '@/platform/hands';
import { origin } from '@/platform/page';
import { saveBlob } from '@/platform/saveText';
import { svgToPng } from '@/platform/svgToPng';
import { useSchools } from '@/reading/useSchools';
import { Action } from '@/ui/actions/Action';
import { Panel } from '@/ui/layout/Panel';
import { Words } from '@/ui/layout/Words';
import { LongWork } from '@/ui/notices/LongWork';
import { Notice } from '@/ui/notices/Notice';

interface Props {
  plan: Plan;
  /** The file a PDF is saved as. */
  file: string;
  /** The finished piece as an SVG picture so many px wide and high; none where it cannot be reckoned. */
  picture?: ((px: number) => Promise<string>) | undefined;
  onClose: () => void;
}

const AWAY = 'PDFs are made by the server, and it does not answer. Send a link, or try again when you are online.';
const NO_PICTURE = 'This browser could not draw the picture. Print the pattern, or send a PDF.';
const NO_CLIPBOARD = 'This browser lets no page copy. Select the link and copy it by hand:';

/** Of a picture that is handed on, px: large enough to count its stitches; and its ground. */
const SIDE = 1600;
const CHALK = '#F4F6F2';

/** A plan handed on: by the device's own share sheet where it has one, else copied or saved. */
export function SharePanel({ plan, file, picture, onClose }: Props) {
  const { terms, units, hand } = useSchools();
  const { voice, paper } = useSettings.getState();
  const [state, setState] = useState<{ said: string } | { fault: string } | 'busy' | null>(null);
  const stopping = useRef<AbortController>(undefined);
  const link = planLink(plan, origin());
  const sendLink = () => {
    if (canShare()) return share({ title: plan.title, url: link });
    return void copyText(link).then(
      () => setState({ said: 'The link is copied. Paste it where you like.' }),
      () => setState({ fault: `${NO_CLIPBOARD} ${link}` }),
    );
  };
  const handOn = (blob: Blob, as: string) => {
    if (canShareFile(blob, as)) {
      shareFile(blob, as, plan.title);
      return setState(null);
    }
    saveBlob(blob, as);
    return setState({ said: `Saved as ${as}` });
  };
  const sendPicture = (draw: NonNullable<Props['picture']>) => {
    setState('busy');
    void draw(SIDE)
      .then((svg) => svgToPng(svg, { width: SIDE, height: SIDE }, CHALK))
      .then(
        (made) => handOn(made, file.replace(/pdf$/, 'png')),
        () => setState({ fault: NO_PICTURE }),
      );
  };
  const sendPdf = () => {
    setState('busy');
    stopping.current = new AbortController();
    const { signal } = stopping.current;
    void printed({ plan, of: 'pattern', style: voice, terms, units, hand, paper }, signal).then(
      (made) => {
        if (made.is === 'refused') return setState({ fault: made.message });
        return handOn(made.blob, file);
      },
      (error: unknown) =>
        signal.aborted ? setState(null) : setState({ fault: error instanceof Away ? AWAY : String(error) }),
    );
  };
  return (
    <Panel title="Share" onClose={onClose}>
      <Words>A link or a PDF holds the whole plan: whoever has Keep Snug opens it, and anyone can read the PDF.</Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 8 }}>
        <Action main onPress={sendLink}>
          {canShare() ? 'Send a link' : 'Copy a link'}
        </Action>
        <Action disabled={state === 'busy'} onPress={sendPdf}>
          {canShare() ? 'Send a PDF' : 'Save a PDF'}
        </Action>
        {picture ? (
          <Action disabled={state === 'busy'} onPress={() => sendPicture(picture)}>
            {canShare() ? 'Send a picture' : 'Save a picture'}
          </Action>
        ) : null}
      </View>
      {state === 'busy' ? <LongWork says="Making it" onStop={() => stopping.current?.abort()} /> : null}
      {state !== null && typeof state === 'object' ? (
        'said' in state ? (
          <Words as="small" live>
            {state.said}
          </Words>
        ) : (
          <Notice tone="rowan" word="Not sent" text={state.fault} />
        )
      ) : null}
    </Panel>
  );
}

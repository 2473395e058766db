import { plural } from '@keep-snug/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { Action } from '@/ui/actions/Action';
import { chooseFiles } from '@/platform/chooseFile';
import { Notice } from '@/ui/notices/Notice';
import { typingIn } from '@/platform/typingIn';
import type { BroughtIn, Offered } from '@/reading/plansIn';
import { hasCamera } from '@/platform/hands';
import { ScanPanel } from './ScanPanel';
import { onPage } from '@/platform/page';

/** What reads plans comes when the first is opened. */
const reading = () => import('@/reading/plansIn');

/** Plans brought in: by files that are chosen or dropped on the page, by text that is pasted, or by the code of a printed page. */
export function PlansIn() {
  const router = useRouter();
  const [brought, setBrought] = useState<BroughtIn | null>(null);
  const [scanning, setScanning] = useState(false);
  const take = (files: readonly Offered[]) => {
    if (files.length > 0) void reading().then(({ bringIn }) => bringIn(files).then(setBrought));
  };
  useOffered(take);
  return (
    <View style={{ gap: 10 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={() => void chooseFiles('application/json,.json,application/pdf,.pdf,image/*').then(take)}>
          Open plan files
        </Action>
        {hasCamera() ? <Action onPress={() => setScanning(true)}>Scan a printed code</Action> : null}
      </View>
      {scanning ? (
        <ScanPanel
          onClose={() => setScanning(false)}
          onCode={(code) => {
            setScanning(false);
            void reading().then(({ scanned }) => take([scanned(code)]));
          }}
        />
      ) : null}
      {brought && brought.added.length > 0 ? (
        <Notice
          tone="sea"
          word={`${plural(brought.added.length, 'plan')} added`}
          text={brought.added.map(({ title }) => title).join(', ')}
        >
          {brought.added.length === 1 ? (
            <View style={{ flexDirection: 'row' }}>
              <Action onPress={() => router.push(`/plan/${brought.added[0]!.id}`)}>Open it</Action>
            </View>
          ) : null}
        </Notice>
      ) : null}
      {brought?.known.map(({ id, title }) => (
        <Notice key={id} tone="sea" word="Already here" text={`${title} lies on your bench as it is in the file.`}>
          <View style={{ flexDirection: 'row' }}>
            <Action onPress={() => router.push(`/plan/${id}`)}>Open it</Action>
          </View>
        </Notice>
      ))}
      {brought?.faults.map(({ at, message }) => (
        <Notice key={`${at} ${message}`} tone="rowan" word={at} text={message} />
      ))}
    </View>
  );
}

/** Files dropped anywhere on the page, and text pasted where nothing is typed. */
function useOffered(take: (files: readonly Offered[]) => void): void {
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      const files = Array.from(event.dataTransfer?.files ?? []);
      if (files.length === 0) return;
      event.preventDefault();
      take(files);
    };
    const paste = (event: ClipboardEvent) => {
      if (typingIn()) return;
      const files = Array.from(event.clipboardData?.files ?? []);
      const text = event.clipboardData?.getData('text') ?? '';
      if (files.length > 0) return take(files);
      // whatever else is pasted is not meant for the bench
      if (/^\s*[[{]/.test(text)) take([{ name: 'What you pasted', size: text.length, text: async () => text }]);
    };
    const ends = [onPage('dragover', over), onPage('drop', drop), onPage('paste', paste)];
    return () => ends.forEach((end) => end());
  });
}

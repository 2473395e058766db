import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { bringIn } from '@/reading/plansIn';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import { Page } from '@/ui/layout/Page';
import { textInFragment } from '@keep-snug/core/link';
import { Words } from '@/ui/layout/Words';
import { fragment } from '@/platform/page';

const CUT_OFF = {
  at: 'This link',
  message: 'It holds no plan, or was cut off on its way. Copy the whole link, or scan the code again.',
};

/** A plan that came as a link or as the code of a printed page: put on the bench, and opened. */
export function OpenPlan() {
  const router = useRouter();
  const [text] = useState(() => textInFragment(fragment()));
  const [faults, setFaults] = useState(text === undefined ? [CUT_OFF] : []);
  useEffect(() => {
    if (text === undefined) return undefined;
    let left = false;
    void bringIn([{ name: 'This link', size: text.length, text: async () => text }]).then(
      ({ added, known, faults: found }) => {
        if (left) return;
        const plan = added[0] ?? known[0];
        if (plan) router.replace(`/plan/${plan.id}`);
        else setFaults(found);
      },
    );
    return () => {
      left = true;
    };
  }, [router, text]);
  return (
    <Page title="Open a plan" says="A plan from a link or a printed page.">
      {faults.length === 0 ? <Words live>Opening…</Words> : null}
      {faults.map(({ at, message }) => (
        <Notice key={`${at} ${message}`} tone="rowan" word={at} text={message} />
      ))}
      {faults.length > 0 ? <Action onPress={() => router.replace('/')}>Go to the bench</Action> : null}
    </Page>
  );
}

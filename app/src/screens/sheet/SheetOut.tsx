import { fileNameOf, type Plan, type Voice, type Worked } from '@keep-snug/core';
import { planLink } from '@keep-snug/core/link';
import { useState } from 'react';
import { Action } from '@/ui/actions/Action';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { useSchools } from '@/reading/useSchools';
import { SharePanel } from '@/ui/share/SharePanel';
import { portraitPicture } from '@/drawing/portrait/Portrait';
import { SavePanel } from './SavePanel';
import { canShare, share } from '@/platform/hands';
import { origin } from '@/platform/page';

interface Props {
  plan: Plan;
  worked: Worked;
  text: string;
  voice: Voice;
  /** The link that opens the plan, to be copied. */
  onLink: (link: string) => void;
}

/** The pattern handed on: to the device’s own share sheet where it has one, as a file, or as a link. */
export function SheetOut({ plan, worked, text, voice, onLink }: Props) {
  const { terms, units, hand } = useSchools();
  const [saving, setSaving] = useState(false);
  const [sharing, setSharing] = useState(false);
  return (
    <>
      <Action onPress={() => setSharing(true)}>Share</Action>
      <Action onPress={() => setSaving(true)}>Save</Action>
      <MoreMenu
        of="this pattern"
        entries={[
          { name: 'Copy a link to this plan', do: () => onLink(planLink(plan, origin())) },
          // closing the device's sheet without a choice is no fault
          ...(canShare() ? [{ name: 'Send as text', do: () => share({ title: plan.title, text }) }] : []),
        ]}
      />
      {sharing ? (
        <SharePanel
          plan={plan}
          file={fileNameOf(plan.title, 'pdf')}
          picture={(px) => portraitPicture(plan, worked, hand, 'front', px)}
          onClose={() => setSharing(false)}
        />
      ) : null}
      {saving ? (
        <SavePanel
          plan={plan}
          worked={worked}
          reading={{ terms, units, voice }}
          hand={hand}
          onClose={() => setSaving(false)}
        />
      ) : null}
    </>
  );
}

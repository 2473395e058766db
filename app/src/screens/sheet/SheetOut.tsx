import type { Plan, Voice, Worked } from '@keep-snug/core';
import { planLink } from '@keep-snug/core/link';
import { useState } from 'react';
import { Action } from '@/ui/actions/Action';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { useSchools } from '@/reading/useSchools';
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

/** Not every browser has a share sheet. */
const CAN_SHARE = canShare();

/** The pattern handed on: to the device’s own share sheet where it has one, as a file, or as a link. */
export function SheetOut({ plan, worked, text, voice, onLink }: Props) {
  const { terms, units, hand } = useSchools();
  const [saving, setSaving] = useState(false);
  return (
    <>
      {CAN_SHARE ? (
        // closing the device's sheet without a choice is no fault
        <Action onPress={() => share(plan.title, text)}>Share</Action>
      ) : null}
      <Action onPress={() => setSaving(true)}>Save</Action>
      <MoreMenu
        of="this pattern"
        entries={[{ name: 'Copy a link to this plan', do: () => onLink(planLink(plan, origin())) }]}
      />
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

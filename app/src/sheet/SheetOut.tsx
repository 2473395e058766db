import {
  fileNameOf,
  PATTERN_FILES,
  patternFile,
  type PatternFile,
  type Plan,
  type Voice,
  type Worked,
} from '@keep-snug/core';
import { Action } from '@/parts/Action';
import { MoreMenu } from '@/parts/MoreMenu';
import { planLink } from '@keep-snug/core/link';
import { saveText } from '@/parts/saveText';
import { useSchools } from '@/parts/useSchools';

interface Props {
  plan: Plan;
  worked: Worked;
  text: string;
  voice: Voice;
  /** The link that opens the plan, to be copied. */
  onLink: (link: string) => void;
}

/** Not every browser has a share sheet. */
const CAN_SHARE = typeof globalThis.navigator?.share === 'function';

const KINDS = Object.keys(PATTERN_FILES) as PatternFile[];

/** The pattern handed on: to the device’s own share sheet where it has one, or as a file. */
export function SheetOut({ plan, worked, text, voice, onLink }: Props) {
  const { terms, units } = useSchools();
  const save = (as: PatternFile) =>
    saveText(
      patternFile(as, plan, worked, { terms, units, voice }),
      fileNameOf(plan.title, as),
      `${PATTERN_FILES[as].type};charset=utf-8`,
    );
  return (
    <>
      {CAN_SHARE ? (
        // closing the device's sheet without a choice is no fault
        <Action onPress={() => void navigator.share({ title: plan.title, text }).catch(() => undefined)}>Share</Action>
      ) : null}
      <MoreMenu
        of="this pattern"
        entries={[
          ...KINDS.map((as) => ({ name: `Save as ${PATTERN_FILES[as].name.toLowerCase()}`, do: () => save(as) })),
          { name: 'Copy a link to this plan', do: () => onLink(planLink(plan, globalThis.location?.origin ?? '')) },
        ]}
      />
    </>
  );
}

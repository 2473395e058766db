import { duration, timesInHundred } from '@keep-snug/core';
import { dayText, withWanted, type SittingHelp, type SittingsAsk } from '@keep-snug/core/sittings';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import { changeHours } from '@/data/hours';
import { useLibrary } from '@/data/library';
import type { ShownJob } from '@/reading/shown';

interface Props {
  help: SittingHelp;
  job: ShownJob;
  ask: SittingsAsk;
}

/** Something that would help, what it leads to, and doing it. */
export function HelpLine({ help, job, ask }: Props) {
  const { title, chance, saves, fit, does } = help;
  const effects = [
    `done in time ${timesInHundred(chance)}`,
    ...(saves ? [`saves about ${duration(saves)}`] : []),
    ...(fit === undefined ? [] : [`fits ${timesInHundred(fit)}`]),
  ];
  const said = 'wanted' in does ? `${title}, until ${dayText(does.wanted)}` : title;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12 }}>
      <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 220 }}>
        <Words as="smallStrong">{said}</Words>
        <Words as="small" tone="faint">{`${effects.join('; ')}.`}</Words>
      </View>
      {canTake(help, job) ? (
        <Action label={`${said}: take this`} onPress={() => take(help, job, ask)}>
          Take this
        </Action>
      ) : null}
    </View>
  );
}

/** A plan of a batch is changed in the batch; its pieces are made fewer there. */
const canTake = ({ does }: SittingHelp, { kind }: ShownJob): boolean =>
  kind === 'job' || 'hours' in does || 'wanted' in does || 'aside' in does;

function take({ id, does }: SittingHelp, { id: job }: ShownJob, ask: SittingsAsk): void {
  const { change, shelves } = useLibrary.getState();
  if ('hours' in does) return changeHours(() => does.hours);
  if ('wanted' in does) return changeHours((hours) => withWanted(hours, job, does.wanted));
  if ('plan' in does) return change('plans', job, does.plan);
  if ('decide' in does) {
    const { from, plan } = does.decide;
    return useEvents.getState().happened(job, { kind: 'decided', choice: id, from, plan, asked: does.asked });
  }
  if ('fewer' in does) return;
  const aside = shelves.makes[does.aside];
  if (aside) return change('makes', does.aside, { ...aside.body, aside: true });
  // a plan that waits is wanted no longer
  const other = ask.jobs.find((one) => one.id === does.aside);
  if (other) changeHours((hours) => withWanted(hours, other.id, undefined));
}

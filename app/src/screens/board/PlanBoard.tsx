import type { Plan, Worked } from '@keep-snug/core';
import { memo, useCallback, useEffect, useState, type ComponentProps } from 'react';
import { ScrollView, View } from 'react-native';
import { Clash } from '@/ui/notices/Clash';
import { KeysPanel } from '@/ui/notices/KeysPanel';
import { later } from '@/ui/layout/later';
import { ThumbBar } from '@/ui/layout/ThumbBar';
import { Words } from '@/ui/layout/Words';
import { WorkingsPanel } from '@/ui/notices/WorkingsPanel';
import { typingIn } from '@/platform/typingIn';
import { useBoard } from '@/data/board';
import { useHistory } from '@/data/history';
import { useUsed } from '@/data/used';
import { useColours } from '@/theme/useTheme';
import { useLow, useWide } from '@/theme/useWide';
import { AdviceList } from '@/ui/notices/AdviceList';
import { BoardBar, Onward } from './BoardBar';
import { Cautions } from '@/ui/notices/Cautions';
import { ChanceOfFit, HowSure } from './ChanceOfFit';
import { boardKeys } from './keys';
import { StageList } from './StageList';
import type { StageProps } from './stages';
import { Sums } from './Sums';
import type { NewToYou as New } from './NewToYou';
import { useBoardKeys } from './useBoardKeys';
import { usePlanAtRest } from './usePlanNow';
import { useWorked } from '@/reading/useWorked';
import { AllViews, OneView } from './Views';
import type { LocalDocument } from '@/data/types';

/** What it reads the steps with comes after the board itself. */
const NewToYou = later<ComponentProps<typeof New>>(() => import('./NewToYou').then((all) => all.NewToYou));

interface Props {
  id: string;
  /** The stage to open first. */
  stage?: string;
}

/** What every part of the room is told. */
type RoomProps = StageProps & { id: string; first?: string };

/**
 * The room in which a plan is made. While a hand draws, the drawing follows it at once and by itself; all else here
 * follows as soon as the hand rests, in pieces small enough to be interrupted when it moves again.
 */
export function PlanBoard(props: Props) {
  useEffect(() => useUsed.getState().touch(props.id), [props.id]);
  return <Room {...props} held={usePlanAtRest(props.id)} />;
}

/** The drawing, the stages, the sums. */
const Room = memo(function Room({ id, held, stage }: Props & { held: LocalDocument<Plan> }) {
  const wide = useWide();
  const low = useLow();
  const plan = held.body;
  const { worked, faults } = useWorked(plan);
  const edit = useCallback(
    (work: (plan: Plan) => Plan) => useHistory.getState().edit(id, work, useBoard.getState().gesture ?? typingIn()),
    [id],
  );
  const ready = worked !== null && faults.length === 0;
  const [showsKeys, setShowsKeys] = useState(false);
  const showKeys = useCallback(() => setShowsKeys(true), []);
  useBoardKeys(id, wide, showKeys);
  const stages = { id, plan, worked, faults, edit, ...(stage ? { first: stage } : {}) };

  return (
    <View style={{ flex: 1 }}>
      <BoardBar id={id} plan={plan} ready={ready} onTitle={(title) => edit((old) => ({ ...old, title }))} />
      <Clash kind="plans" id={id} held={held} />
      {wide ? (
        <Wide stages={stages} />
      ) : (
        <>
          <ScrollView role="main" {...(low ? {} : { stickyHeaderIndices: [0] })} style={{ flex: 1 }}>
            <View>
              <OneView id={id} edit={edit} low={low} />
            </View>
            <View style={{ gap: 10, padding: 16 }}>
              {worked ? <Headline worked={worked} /> : null}
              {worked ? <HowSure id={id} plan={plan} edit={edit} /> : null}
              <AdviceList advice={worked?.advice ?? []} edit={edit} />
            </View>
            <StageList {...stages} />
            {worked ? (
              <View style={{ padding: 16, gap: 12 }}>
                <NewToYou worked={worked} />
                <Cautions cautions={worked.cautions} edit={edit} />
              </View>
            ) : null}
          </ScrollView>
          <ThumbBar>
            <Onward id={id} plan={plan} ready={ready} />
          </ThumbBar>
        </>
      )}
      {showsKeys ? <KeysPanel keys={boardKeys(wide)} onClose={() => setShowsKeys(false)} /> : null}
      <WorkingsPanel />
    </View>
  );
});

/** The sums stand in the third column. */
const BESIDE = ['sums'];

function Wide({ stages }: { stages: RoomProps }) {
  const colours = useColours();
  return (
    <View role="main" style={{ flex: 1, flexDirection: 'row' }}>
      <ScrollView
        style={{ flexGrow: 0, width: 360, borderRightWidth: 1, borderColor: colours.line }}
        contentContainerStyle={{ minHeight: '100%' }}
      >
        <StageList {...stages} without={BESIDE} />
      </ScrollView>
      <View style={{ flex: 1, backgroundColor: colours.chalk }}>
        <AllViews id={stages.id} edit={stages.edit} plan={stages.plan} worked={stages.worked} />
      </View>
      <ScrollView
        style={{
          flexGrow: 0,
          width: 288,
          backgroundColor: colours.surface,
          borderLeftWidth: 1,
          borderColor: colours.line,
        }}
        contentContainerStyle={{ padding: 16, gap: 12 }}
      >
        <Reckoned {...stages} />
      </ScrollView>
    </View>
  );
}

/** What comes of the plan: its chance of fitting, its counts, its sums, and what is to be said about it. */
function Reckoned({ id, plan, worked, edit }: RoomProps) {
  return (
    <>
      {worked ? (
        <>
          <ChanceOfFit id={id} plan={plan} edit={edit} />
          <Headline worked={worked} />
          <AdviceList advice={worked.advice} edit={edit} />
          <Sums worked={worked} />
          <NewToYou worked={worked} />
          <Cautions cautions={worked.cautions} edit={edit} />
        </>
      ) : null}
    </>
  );
}

/** What to make of each piece, in a line. */
function Headline({ worked }: { worked: Worked }) {
  const several = worked.pieces.length > 1;
  return worked.pieces.map(({ id, name, times, summary }) => (
    <Words key={id} as={several ? 'strong' : 'heading'} level={2} live>
      {several || times > 1 ? `${name}${times > 1 ? ` (make ${times})` : ''}: ${summary}` : summary}
    </Words>
  ));
}

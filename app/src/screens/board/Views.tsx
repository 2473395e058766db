import { stitchPattern, type PickedPlan, type Plan, type Worked } from '@keep-snug/core';
import { memo, useMemo } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Drawing, DrawingPlace, Drawn, type Frame, type Work } from '@/drawing/Drawing';
import { Action } from '@/ui/actions/Action';
import { Tabs } from '@/ui/layout/Tabs';
import { useBox } from '@/ui/layout/useBox';
import { Words } from '@/ui/layout/Words';
import { useBoard } from '@/data/board';
import { useColours } from '@/theme/useTheme';
import { Finished } from './Finished';
import { usePlanNow } from './usePlanNow';
import { stageOwning, STAGES } from './stages';
import { drawnFor, reckonFor, useLastGood, useReader } from '@/reading/useWorked';

interface Props {
  id: string;
  edit: Work['edit'];
}

/** The drawing as it stands this very moment: it follows a hand even while the rest of the board waits. */
function useDrawnNow(id: string, edit: Work['edit']): { plan: Plan; drawn: PickedPlan | null; work: Work } {
  const plan = usePlanNow(id);
  const moving = useBoard((state) => state.dragging);
  const reader = useReader();
  const now = useMemo(() => drawnFor(plan, reader, moving), [plan, reader, moving]);
  const last = useLastGood(now);
  // a hand that draws past what can be worked keeps hold of the drawing; once it rests, what is missing is told instead
  const drawn = moving ? last : now;
  return { plan, drawn, work: useWork(plan, drawn, edit) };
}

/** What the drawing needs to be drawn on. */
function useWork(plan: Plan, drawn: PickedPlan | null, edit: Work['edit']): Work {
  const { stitch, pattern } = plan.fabric;
  return useMemo(
    () => ({ choices: drawn?.choices ?? [], edit, symbols: stitchPattern(stitch, pattern).symbols }),
    [drawn, edit, stitch, pattern],
  );
}

/** On a phone: one view at a time, which stays in sight while the stages are worked through. */
export function OneView({ id, edit, low }: Props & { low: boolean }) {
  const { plan, drawn, work } = useDrawnNow(id, edit);
  return drawn ? <Shown plan={plan} drawn={drawn} work={work} low={low} /> : <Unready id={id} />;
}

/** How high a view is drawn, px: the flat one with its tape, the others, and any on a low screen. */
const TALL = { flat: 210, other: 250, low: 150, lowFinished: 200 } as const;

/** The piece as it will lie there, beside the views that are drawn of it. */
const FINISHED = { id: 'finished', name: 'Finished' };

/** What was reckoned whole, and not only for a hand that draws. */
const isWhole = (drawn: PickedPlan | Worked): drawn is Worked => 'pieces' in drawn;

interface ShownProps {
  plan: Plan;
  drawn: PickedPlan | Worked;
  work: Work;
  low: boolean;
}

const Shown = memo(function Shown({ plan, drawn, work, low }: ShownProps) {
  const colours = useColours();
  const shown = useBoard((state) => state.view);
  const setShown = useBoard((state) => state.look);
  const seen = shown === FINISHED.id && isWhole(drawn) ? drawn : null;
  const view = drawn.views.find(({ id }) => id === shown) ?? drawn.views[0]!;
  const height = low ? TALL.low : view.id === 'flat' ? TALL.flat : TALL.other;
  return (
    <View
      style={{ backgroundColor: colours.chalk, borderBottomWidth: 1, borderColor: colours.line, paddingHorizontal: 8 }}
    >
      <Tabs
        label="Views"
        options={[FINISHED, ...drawn.views]}
        value={seen ? FINISHED.id : view.id}
        onChange={setShown}
      />
      {seen ? (
        <Finished plan={plan} worked={seen} height={low ? TALL.lowFinished : TALL.other} />
      ) : (
        <Drawing view={view} tape={view.id === 'flat'} height={height} work={work} />
      )}
    </View>
  );
});

interface AllProps extends Props {
  /** As worked out when the hand last rested. */
  plan: Plan;
  worked: Worked | null;
}

/** When wide: the flat view as large as it can be, the others below it beside each other. */
export function AllViews({ id, edit, plan, worked }: AllProps) {
  const { box, onLayout } = useBox();
  const work = useWork(plan, worked, edit);
  if (!worked) return <Unready id={id} />;
  const [first, ...rest] = worked.views;
  const flatHeight = first ? Math.min(box.height * 0.5, (box.width * first.height) / first.width + 110) : 0;
  const restHeight = Math.max(240, box.height - flatHeight - 76);
  return (
    <ScrollView onLayout={onLayout} style={{ flex: 1 }} contentContainerStyle={{ padding: 12, gap: 4 }}>
      {first && box.height > 0 ? (
        <>
          <Words as="smallStrong">{first.name}</Words>
          <FirstView id={id} edit={edit} height={flatHeight} />
        </>
      ) : null}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <View style={STYLES.finished}>
          <Finished plan={plan} worked={worked} title={FINISHED.name} height={restHeight + TITLE} />
        </View>
        <View style={STYLES.rest}>
          {rest.map((view) => (
            <View key={view.id} style={STYLES.one}>
              <Words as="smallStrong">{view.name}</Words>
              <Drawing view={view} height={rest.length > BESIDE ? restHeight / 2 - 12 : restHeight} work={work} />
            </View>
          ))}
        </View>
      </View>
    </ScrollView>
  );
}

/** How high a view’s name is above it, px. */
const TITLE = 20;

/** So many views stand in one row beside the finished piece. */
const BESIDE = 2;

const STYLES = StyleSheet.create({
  finished: { flex: 1, minWidth: 248 },
  rest: { flex: 1, flexDirection: 'row', flexWrap: 'wrap', columnGap: 8, rowGap: 4 },
  one: { flexGrow: 1, flexBasis: 110 },
});

/** The place stays as it is while a hand draws: only what is drawn in it is made anew. */
function FirstView({ id, edit, height }: Props & { height: number }) {
  return (
    <DrawingPlace height={height} looks>
      {(frame) => <FirstDrawn id={id} edit={edit} frame={frame} />}
    </DrawingPlace>
  );
}

function FirstDrawn({ id, edit, frame }: Props & { frame: Frame }) {
  const { drawn, work } = useDrawnNow(id, edit);
  return drawn ? <Drawn view={drawn.views[0]!} tape frame={frame} work={work} /> : null;
}

/** In the drawing's place: what has to be answered before there is one, and the way there. */
function Unready({ id }: { id: string }) {
  const plan = usePlanNow(id);
  const { faults } = reckonFor(plan, useReader());
  const openStage = useBoard((state) => state.openStage);
  const colours = useColours();
  return (
    <View
      style={{ padding: 20, gap: 6, backgroundColor: colours.chalk, borderBottomWidth: 1, borderColor: colours.line }}
    >
      <Words as="heading" level={2}>
        No drawing yet
      </Words>
      {faults.map(({ path, message }) => {
        const stage = stageOwning(STAGES, path);
        return (
          <View key={path} style={{ alignItems: 'flex-start' }}>
            <Words>{message}</Words>
            {stage ? <Action onPress={() => openStage(id, stage.id)}>{`Open ${stage.name}`}</Action> : null}
          </View>
        );
      })}
    </View>
  );
}

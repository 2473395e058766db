import { countMeasures, formatDifference, formatLength, formatLengthNumber, term, gaugeText } from '@keep-snug/core';
import { memo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { Press } from '@/ui/actions/Press';
import { Words } from '@/ui/layout/Words';
import { useBoard } from '@/data/board';
import { useColours } from '@/theme/useTheme';
import { stageOwning, STAGES, type Say, type Stage, type StageProps } from './stages';
import { useKeptInSight } from './useKeptInSight';
import { useReader } from '@/reading/useWorked';

interface Props extends StageProps {
  /** The plan's id. */
  id: string;
  /** The stage that is open until another is. */
  first?: string;
  /** Stages left out because they stand elsewhere on the screen. */
  without?: readonly string[];
}

/** A stage's editor: what it shows follows the plan, and only then is it laid out anew. */
const Body = memo(function Body({ stage, ...props }: StageProps & { stage: Stage }) {
  return <stage.Body {...props} />;
});

/** The stages on the tape that holds them together: each closed one shows its decision in a line. */
export const StageList = memo(function StageList({ id, first, without = [], ...props }: Props) {
  const colours = useColours();
  const { terms, units } = useReader();
  const [wanting] = useState(() => first ?? stageWanting(props));
  const open = useBoard((state) => state.stages[id] ?? wanting);
  const say: Say = {
    length: (mm) => formatLength(mm, units),
    number: (mm) => formatLengthNumber(mm, units),
    difference: (mm, sd) => formatDifference(mm, sd, units),
    gauge: (gauge) => gaugeText(gauge, units),
    term: (id) => term(id, terms),
  };
  return (
    <View style={{ flexDirection: 'row', backgroundColor: colours.surface }}>
      <Spine />
      <View style={{ flex: 1 }}>
        {STAGES.filter((stage) => !without.includes(stage.id)).map((stage) => (
          <Line key={stage.id} id={id} stage={stage} isOpen={stage.id === open} say={say} {...props} />
        ))}
      </View>
    </View>
  );
});

/** The stage that most needs an answer: one with something to mend, else the fabric until it is measured, else the fit. */
function stageWanting({ plan, faults }: StageProps): string {
  const wrong = faults.map(({ path }) => stageOwning(STAGES, path)).find(Boolean);
  if (wrong) return wrong.id;
  return countMeasures(plan.fabric.gauge ?? {}) === 0 ? 'fabric' : 'fit';
}

interface LineProps extends StageProps {
  id: string;
  stage: Stage;
  isOpen: boolean;
  say: Say;
}

/** One stage: its name and its decision, and its editor while it is open. */
function Line({ id, stage, isOpen, say, ...props }: LineProps) {
  const colours = useColours();
  const setOpen = useBoard((state) => state.openStage);
  const { ref, press } = useKeptInSight(isOpen);
  const faulty = props.faults.some(({ path }) => stageOwning(STAGES, path) === stage);
  const turn = () => {
    press();
    setOpen(id, isOpen ? '' : stage.id);
  };
  return (
    <View
      ref={ref}
      style={{
        borderBottomWidth: 1,
        borderColor: colours.line,
        backgroundColor: isOpen ? colours.chalk : colours.surface,
      }}
    >
      <Press expanded={isOpen} label={stage.name} onPress={turn} style={{ paddingHorizontal: 16, paddingVertical: 10 }}>
        <Words as="heading" level={2}>
          {stage.name}
        </Words>
        <Words as="small" tone={faulty ? 'rowan' : 'faint'}>
          {faulty ? 'Fix an entry here' : stage.summary(props.plan, props.worked, say)}
        </Words>
      </Press>
      {isOpen ? (
        <View style={{ paddingHorizontal: 16, paddingBottom: 20 }}>
          <Body stage={stage} {...props} />
        </View>
      ) : null}
    </View>
  );
}

/** Longer than the tallest list of stages; what is beyond its end is cut off. */
const TICKS = Array.from({ length: 400 }, (_, index) => `M0 ${index * 12 + 1}h${index % 5 === 0 ? 9 : 5}`).join('');

/** The tape as the spine of the stages, as long as they are. */
const Spine = memo(function Spine() {
  const colours = useColours();
  return (
    <View style={{ width: 12, backgroundColor: colours.tape }}>
      <View style={{ position: 'absolute', top: 0, bottom: 0, left: 0, right: 0, overflow: 'hidden' }}>
        <Svg width={12} height={4800} aria-hidden>
          <Path d={TICKS} stroke={colours.tapeInk} strokeWidth={2} />
        </Svg>
      </View>
    </View>
  );
});

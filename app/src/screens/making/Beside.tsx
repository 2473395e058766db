import { capital, sectionWord, type Plan, type Step } from '@keep-snug/core';
import { ScrollView, StyleSheet, View } from 'react-native';
import { MiniPiece } from '@/drawing/MiniPiece';
import { Portrait } from '@/drawing/portrait/Portrait';
import { useBox } from '@/ui/layout/useBox';
import { Words } from '@/ui/layout/Words';
import { useColours } from '@/theme/useTheme';
import { courseWord, type Progress } from '@/reading/useProgress';

/** So many steps are shown ahead. */
const AHEAD = 3;
const TALLEST = 220;

/** Where there is room: the piece to scale with the row on the hook, what comes next, and what was noted. */
export function Beside({ plan, progress }: { plan: Plan; progress: Progress }) {
  const colours = useColours();
  const { worked, next, state } = progress;
  // the row's own note stands with the row
  const notes = state.notes.filter(({ step }) => step === null || step !== state.last?.step);
  const from = worked.steps.findIndex((step) => step === next);
  const ahead = from < 0 ? [] : runsOf(worked.steps.slice(from + 1)).slice(0, AHEAD);
  return (
    <ScrollView
      // what scrolls is reached by the keys too
      {...{ tabIndex: 0 }}
      role="region"
      aria-label="The piece, what comes next, your notes"
      style={[STYLES.beside, { borderColor: colours.line, backgroundColor: colours.chalk }]}
      contentContainerStyle={STYLES.body}
    >
      <Portrait plan={plan} worked={progress.worked} made={progress.rowsMade} height={TALLEST} />
      <ToScale progress={progress} />
      {ahead.length > 0 ? (
        <View style={STYLES.part}>
          <Words as="heading" level={2}>
            Next
          </Words>
          {ahead.map(({ id, label, text }) => (
            <View key={id}>
              <Words as="smallStrong">{label}</Words>
              <Words as="small" tone="faint">
                {text}
              </Words>
            </View>
          ))}
        </View>
      ) : null}
      {notes.length > 0 ? (
        <View style={STYLES.part}>
          <Words as="heading" level={2}>
            Your notes
          </Words>
          {notes.map(({ id, text }) => (
            <Words key={id} as="small" tone="thread">
              {text}
            </Words>
          ))}
        </View>
      ) : null}
    </ScrollView>
  );
}

/** The piece on the hook, as long and as wide as it comes out, done so far. */
function ToScale({ progress: { piece, rowsDone } }: { progress: Progress }) {
  const { box, onLayout } = useBox();
  const long = piece.height.value;
  const wide = piece.width.value;
  const scale = Math.min(box.width / long, TALLEST / wide);
  return (
    <View onLayout={onLayout} style={{ gap: 6, minHeight: 60 }}>
      {box.width > 0 ? (
        <MiniPiece piece={piece} rowsDone={rowsDone} width={long * scale} height={Math.max(14, wide * scale)} />
      ) : null}
      <Words
        as="small"
        tone="faint"
      >{`${piece.name}, to scale: ${rowsDone} of ${piece.rows} ${piece.worked} done`}</Words>
    </View>
  );
}

interface Run {
  id: string;
  label: string;
  text: string;
}

/** Steps to come, rows alike and in a run as one. */
function runsOf(steps: readonly Step[]): Run[] {
  const runs: (Run & { first: Step })[] = [];
  for (const step of steps) {
    const last = runs.at(-1);
    if (last && step.row && last.first.row && last.text === step.text && last.first.section === step.section) {
      last.label = `${courseWord(step)}s ${last.first.row} to ${step.row}, ${sectionWord(step.section)}`;
      continue;
    }
    if (runs.length > AHEAD) break;
    const label = step.row
      ? `${courseWord(step)} ${step.row}, ${sectionWord(step.section)}`
      : sectionWord(step.section);
    runs.push({ id: step.id, label: capital(label), text: step.text, first: step });
  }
  return runs;
}

const STYLES = StyleSheet.create({
  beside: { flex: 1.3, borderLeftWidth: 1 },
  body: { padding: 24, gap: 24 },
  part: { gap: 8 },
});

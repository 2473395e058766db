import { applyChange, type Advice, type Plan } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Notice } from './Notice';
import { LinkedWords } from '@/ui/layout/LinkedWords';

const WORDS = {
  question: { word: 'Please check', tone: 'thread' },
  advice: { word: 'Tip', tone: 'sea' },
  warning: { word: 'Warning', tone: 'rowan' },
} as const;

interface Props {
  advice: readonly Advice[];
  /** Changes the plan; left out where it can only be read. */
  edit?: (work: (plan: Plan) => Plan) => void;
}

/** What is worth saying about the plan, each with its repair; one press makes it where a plan can be changed. */
export function AdviceList({ advice, edit }: Props) {
  return advice.map(({ id, at, severity, text, repair, change }) => (
    <Notice
      key={`${id} ${at}`}
      {...WORDS[severity]}
      text={<LinkedWords as="small" text={text} />}
      {...(change && edit ? {} : { repair: <LinkedWords as="smallStrong" text={repair} /> })}
    >
      {change && edit ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={() => edit((plan) => applyChange(plan, change))}>{repair}</Action>
        </View>
      ) : null}
    </Notice>
  ));
}

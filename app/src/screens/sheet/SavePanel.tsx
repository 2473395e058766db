import { PAPERS, type Paper } from '@keep-snug/core/paper';
import { useRef, useState } from 'react';
import { Action } from '@/ui/actions/Action';
import { LongWork } from '@/ui/notices/LongWork';
import { Notice } from '@/ui/notices/Notice';
import { Panel } from '@/ui/layout/Panel';
import { RadioList } from '@/ui/fields/RadioList';
import { saveBlob, saveText } from '@/platform/saveText';
import { Tabs } from '@/ui/layout/Tabs';
import { Words } from '@/ui/layout/Words';
import { Away, printed } from '@/data/api';
import { useSettings } from '@/data/settings';
import { outsOf, type Leaving, type OutKind } from './outs';

const SHEETS = (Object.keys(PAPERS) as Paper[]).map((id) => ({ id, name: id }));

/** What is to be saved, as what kind of file, on which paper. */
export function SavePanel({ onClose, ...leaving }: Leaving & { onClose: () => void }) {
  const outs = outsOf(leaving);
  const [what, setWhat] = useState(outs[0]!.id);
  const [wanted, setWanted] = useState('');
  const out = outs.find(({ id }) => id === what)!;
  const kind = out.kinds.find(({ id }) => id === wanted) ?? out.kinds[0]!;
  return (
    <Panel title="Save as a file" onClose={onClose}>
      <RadioList label="What to save" value={what} options={outs} onChange={setWhat} />
      <Tabs as="radio" label="Kind of file" value={kind.id} options={out.kinds} onChange={setWanted} />
      <SaveLine key={`${what} ${kind.id}`} kind={kind} />
    </Panel>
  );
}

const AWAY =
  'PDFs are made by the server, and it does not answer. Try again when you are online, or save another kind of file.';

function SaveLine({ kind }: { kind: OutKind }) {
  const paper = useSettings((state) => state.paper);
  const set = useSettings((state) => state.set);
  const [state, setState] = useState<'busy' | 'saved' | { fault: string } | null>(null);
  const stopping = useRef<AbortController>(undefined);
  const save = () => {
    if ('text' in kind) {
      const keep = (text: string) => {
        saveText(text, kind.file, `${kind.type};charset=utf-8`);
        setState('saved');
      };
      const text = kind.text();
      return typeof text === 'string' ? keep(text) : void text.then(keep);
    }
    setState('busy');
    stopping.current = new AbortController();
    const { signal } = stopping.current;
    return void printed({ ...kind.ask, paper }, signal).then(
      (made) => {
        if (signal.aborted) return undefined;
        if (made.is === 'refused') return setState({ fault: made.message });
        saveBlob(made.blob, kind.file);
        return setState('saved');
      },
      (error: unknown) =>
        signal.aborted ? setState(null) : setState({ fault: error instanceof Away ? AWAY : String(error) }),
    );
  };
  return (
    <>
      {'ask' in kind ? (
        <Tabs as="radio" label="Paper" value={paper} options={SHEETS} onChange={(next) => set({ paper: next })} />
      ) : null}
      <Action main disabled={state === 'busy'} onPress={save}>
        Save
      </Action>
      {state === 'busy' ? <LongWork says="Making the PDF" onStop={() => stopping.current?.abort()} /> : null}
      {state === 'saved' ? <Words as="small">{`Saved as ${kind.file}`}</Words> : null}
      {state !== null && typeof state === 'object' ? <Notice tone="rowan" word="Not saved" text={state.fault} /> : null}
    </>
  );
}

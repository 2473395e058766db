import type { DocumentKind } from '@keep-snug/core/documents';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import { everyHeld, useLibrary } from '@/data/library';
import { useShallow } from 'zustand/react/shallow';
import { nameOf } from '@/data/nameOf';
import type { LocalDocument } from '@/data/types';

type One = { kind: DocumentKind; id: string; held: LocalDocument<unknown> };

const PLACE: Readonly<Record<DocumentKind, (id: string) => string>> = {
  plans: (id) => `/plan/${id}`,
  makes: (id) => `/make/${id}`,
  batches: (id) => `/batch/${id}`,
  things: () => '/things',
  yarns: () => '/yarn',
  swatches: () => '/yarn',
  hours: () => '/days',
};

const isUnsettled = ({ held }: One) => !held.dirty && (held.refused !== undefined || held.theirs !== undefined);

/** What of this device the server has not, and is not going to be sent by itself. */
export const useNotOnServer = (): One[] => useLibrary(useShallow((state) => unsettledIn(everyHeld(state))));

const known = new WeakMap<LocalDocument<unknown>, One>();

/** The same object for as long as the document is the same one. */
function unsettledIn(all: readonly One[]): One[] {
  return all.filter(isUnsettled).map((one) => {
    const before = known.get(one.held);
    if (before) return before;
    known.set(one.held, one);
    return one;
  });
}

/** Each by its name, why it is not there, and the way to where that is settled. */
export function NotOnServer() {
  const router = useRouter();
  return useNotOnServer().map(({ kind, id, held }) => (
    <Notice
      key={`${kind}/${id}`}
      tone="rowan"
      word={nameOf(held.body, 'Your hours')}
      text={held.refused ?? 'It was changed here and on another device: say which version stays.'}
    >
      <View style={{ flexDirection: 'row' }}>
        <Action label={`Go to ${nameOf(held.body, 'Your hours')}`} onPress={() => router.push(PLACE[kind](id) as '/')}>
          Go there
        </Action>
      </View>
    </Notice>
  ));
}

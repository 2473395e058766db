import type { Plan, Worked } from '@keep-snug/core';
import { useEffect } from 'react';
import { Image, StyleSheet } from 'react-native';
import { keepCard, type KeptCard } from '@/data/keptBench';
import { portraitPicture } from '@/drawing/portrait/Portrait';
import { useSettings } from '@/data/settings';
import { isUnfetched } from '@/ui/layout/later';

/** How large a kept picture is, px. */
const PX = 84;

interface Seen {
  plan: Plan;
  worked: Worked;
  /** Rows done of each piece, where it is not finished. */
  made?: Readonly<Record<string, number>> | undefined;
}

/** Keeps a card as it is seen now, for the next time the bench is opened; nothing while it is not worked out. */
export function useKept(card: Omit<KeptCard, 'picture'>, seen: Seen | null): void {
  const hand = useSettings((state) => state.hand);
  const asIs = JSON.stringify(card);
  const rows = JSON.stringify(seen?.made);
  const plan = seen?.plan;
  const worked = seen?.worked;
  useEffect(() => {
    if (!plan || !worked) return undefined;
    let left = false;
    const made = rows === undefined ? undefined : (JSON.parse(rows) as Record<string, number>);
    const keep = (picture: string) => {
      if (!left) keepCard({ ...(JSON.parse(asIs) as KeptCard), picture });
    };
    portraitPicture(plan, worked, hand, 'front', PX, made).then(keep, (error: Error) => {
      // while the server is away its script may not be there
      if (!isUnfetched(error)) throw error;
    });
    return () => {
      left = true;
    };
  }, [asIs, rows, plan, worked, hand]);
}

/** A card's picture as it was last time, until it is drawn anew. */
export function KeptPicture({ card, size }: { card: KeptCard | undefined; size: { width: number; height: number } }) {
  if (!card?.picture) return null;
  const uri = `data:image/svg+xml,${encodeURIComponent(card.picture)}`;
  return <Image aria-hidden source={{ uri }} style={[STYLES.picture, size]} />;
}

const STYLES = StyleSheet.create({ picture: { resizeMode: 'contain' } });

import { duration, isBlank, MAKE_FORMAT, notionsText, plural, roundedAmount, upTo } from '@keep-snug/core';
import { batchTotals, variantPlan, yarnLabel, type BatchRecord } from '@keep-snug/core/batches';
import { dayText, withWanted } from '@keep-snug/core/sittings';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { Clash } from '@/ui/notices/Clash';
import { DayField } from '@/ui/fields/DayField';
import { Notice } from '@/ui/notices/Notice';
import { Page } from '@/ui/layout/Page';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import { changeHours, useHours } from '@/data/hours';
import { useLibrary, useShelf } from '@/data/library';
import { batchNow, type BatchNow, type PieceNow } from './pieces';
import { PieceRow } from './PieceRow';
import { Variants } from './Variants';
import type { LocalDocument } from '@/data/types';

/** A batch: its pieces as a row, what to buy for all of them, the order of work, and each piece’s own make. */
export function BatchRoom({ id }: { id: string }) {
  const held = useLibrary((state) => state.shelves.batches[id]) as LocalDocument<BatchRecord>;
  const batch = held.body;
  const makes = useShelf('makes');
  const byMake = useEvents((state) => state.byMake);
  const now = useMemo(() => batchNow(id, batch, makes, byMake), [id, batch, makes, byMake]);
  const change = (next: BatchRecord) => useLibrary.getState().change('batches', id, next);
  return (
    <Page title={batch.name} says={`Several of ${batch.plan.title}, planned together.`}>
      <Clash kind="batches" id={id} held={held} />
      {now.ok ? (
        <>
          <PieceRow pieces={now.pieces} />
          <Totals batch={batch} now={now} />
        </>
      ) : (
        <Notice tone="rowan" word="Cannot be calculated" text={now.message} />
      )}
      <CardBox label="Name and day">
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
          <TextField
            label="Name of the batch"
            value={batch.name}
            onChange={(name) => change({ ...batch, name: isBlank(name) ? batch.plan.title : upTo(name, 120) })}
          />
          <Wanted id={id} />
        </View>
      </CardBox>
      {now.ok ? <Order id={id} batch={batch} pieces={now.pieces} /> : null}
      <Variants batch={batch} onChange={change} />
    </Page>
  );
}

function Wanted({ id }: { id: string }) {
  const router = useRouter();
  const wanted = useHours().wanted?.[id];
  return (
    <>
      <DayField
        label="Day all are wanted"
        value={wanted}
        onChange={(day) => changeHours((hours) => withWanted(hours, id, day))}
        onClear={() => changeHours((hours) => withWanted(hours, id, undefined))}
      />
      <Action onPress={() => router.navigate('/days')}>
        {wanted ? `See the days to ${dayText(wanted)}` : 'See your days'}
      </Action>
    </>
  );
}

/** What to buy and how long it takes, all pieces together. */
function Totals({ batch, now }: { batch: BatchRecord; now: Extract<BatchNow, { ok: true }> }) {
  const box = useShelf('yarns');
  const { yarns, notions, minutes, pieces } = useMemo(
    () =>
      batchTotals(batch, now.worked, {
        there: (label) => box.find(([, { body }]) => yarnLabel(body.yarn) === label)?.[1].body.gramsLeft,
        still: (variant) =>
          now.pieces.reduce((sum, piece) => sum + (piece.variant === variant ? 1 - piece.done : 0), 0),
      }),
    [batch, now, box],
  );
  return (
    <CardBox label="To buy">
      <Words as="heading" level={2}>
        To buy
      </Words>
      {yarns.map(({ name, metres, grams, there, balls }) => (
        <View key={name} style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 12 }}>
          <Words style={{ flexGrow: 1, flexBasis: 160 }}>{name}</Words>
          <Words as="strong">{buyText({ metres, grams: grams.value, there, balls })}</Words>
          {grams.value < LEAST_G ? null : (
            <Words as="small" tone="faint" style={{ minWidth: 190 }}>
              {`about ${roundedAmount(metres)} m, ${roundedAmount(grams.value)} g (± ${roundedAmount(grams.sd)})${there === undefined ? '' : `; you have ${roundedAmount(there)} g`}`}
            </Words>
          )}
        </View>
      ))}
      <Words
        as="small"
        tone="faint"
      >{`Balls are as many as last 9 times in 10. Materials: ${notionsText(notions)}.`}</Words>
      <Words as="small">{`${plural(pieces, 'piece')}, about ${duration(minutes.value)} in all.`}</Words>
    </CardBox>
  );
}

/** Less than so much is none, g. */
const LEAST_G = 0.5;

/** What is missing of a yarn: nothing, whole balls, or so many metres. */
function buyText({
  metres,
  grams,
  there = 0,
  balls,
}: {
  metres: number;
  grams: number;
  there: number | undefined;
  balls: number | null;
}): string {
  if (grams < LEAST_G) return 'nothing more';
  if (balls !== null) return balls === 0 ? 'you have enough' : plural(balls, 'ball');
  const short = metres * (1 - there / Math.max(grams, 1e-9));
  return short <= 0 ? 'you have enough' : `about ${roundedAmount(short)} m`;
}

/** The order of work, yarn by yarn, each piece with its make. */
function Order({ id, batch, pieces }: { id: string; batch: BatchRecord; pieces: readonly PieceNow[] }) {
  return (
    <CardBox label="Order of work">
      <Words as="heading" level={2}>
        Order of work
      </Words>
      {pieces.map((piece, index) => {
        const before = pieces[index - 1];
        const anew = before?.yarn !== piece.yarn || before.hookMm !== piece.hookMm;
        return (
          <View key={`${piece.variant} ${piece.number}`}>
            {anew ? (
              <Words as="strong" level={3} style={{ paddingTop: index ? 8 : 0 }}>
                {`${piece.yarn}, ${piece.hookMm} mm hook`}
              </Words>
            ) : null}
            <PieceLine id={id} batch={batch} piece={piece} />
          </View>
        );
      })}
    </CardBox>
  );
}

function PieceLine({ id, batch, piece }: { id: string; batch: BatchRecord; piece: PieceNow }) {
  const router = useRouter();
  const { name, number, make, done } = piece;
  const { count } = batch.variants.find((one) => one.id === piece.variant)!;
  const title = count > 1 ? `${name}, ${number} of ${count}` : name;
  const state = done === 1 ? 'done' : make ? `${Math.round(100 * done)} % done` : 'waiting';
  const start = () => {
    const variant = batch.variants.find((one) => one.id === piece.variant)!;
    const plan = variantPlan(batch, variant);
    const made = useLibrary.getState().add('makes', {
      format: MAKE_FORMAT,
      title: plan.title,
      planId: id,
      plan,
      startedAt: new Date().toISOString(),
      batch: { batch: id, variant: piece.variant },
    });
    router.push(`/make/${made}`);
  };
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12, minHeight: 48 }}>
      <Words style={{ flex: 1 }}>{title}</Words>
      <Words as="small" tone={done === 1 ? 'lichen' : 'faint'}>
        {state}
      </Words>
      {done === 1 ? null : (
        <Action
          label={`${make ? 'Continue' : 'Start'} ${title}`}
          onPress={make ? () => router.push(`/make/${make}`) : start}
        >
          {make ? 'Continue' : 'Start'}
        </Action>
      )}
    </View>
  );
}

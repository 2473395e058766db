import { foldMake, reckon, type Make } from '@keep-snug/core';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { HOME } from '../settings';
import { documentStore, eventStore, feed, openStore } from './index';

/** A file written by an earlier version: a make of a bag with a strap, its start and ten rounds ticked. */
const EARLIER = `${HOME}e2e/fixtures/earlier.sqlite`;

it('opens a file of an earlier version with its counts, its sizes and what was done', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'keep-snug-'));
  const file = join(folder, 'earlier.sqlite');
  copyFileSync(EARLIER, file);
  const store = await openStore(file);
  const [kept] = await documentStore(store).list('makes');
  const { plan } = kept!.body as Make;
  const worked = reckon(plan);
  expect(worked.pieces.map(({ id, stitches, rows }) => [id, stitches, rows])).toEqual([
    ['body', 37, 44],
    ['strap', 6, 169],
  ]);
  expect(worked.inside.girth.value).toBeCloseTo(237.614, 3);
  const events = await eventStore(store).since(0, 1000, kept!.id);
  expect(
    foldMake(
      events.map(({ seq, event }) => ({ ...event, seq })),
      worked.steps,
    ).done,
  ).toEqual(worked.steps.slice(0, 11).map(({ id }) => id));
  const { entries } = (await feed(store).changes(0, 1000))!;
  expect(entries.map(({ seq }) => seq)).toEqual(Array.from({ length: 14 }, (_, index) => index + 1));
  await store.close();
  rmSync(folder, { recursive: true, force: true });
});

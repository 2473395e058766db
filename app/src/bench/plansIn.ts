import { useLibrary } from '@/state/library';
import { forms } from './forms';

/** A file as it is opened: only asked for its text once its size is known. */
export interface Offered {
  name: string;
  size: number;
  text: () => Promise<string>;
}

/** What came of files that were opened: plans that lie on the bench now, and what is wrong with the others. */
export interface BroughtIn {
  added: { id: string; title: string }[];
  faults: { at: string; message: string }[];
}

/** A file larger than that is never one of plans, bytes. */
const LARGEST = 20_000_000;

const megabytes = (bytes: number) => `${Math.round(bytes / 1_000_000)} MB`;

/** Puts the plans of files on the bench. One that cannot be read does not keep the others out, and is told at its file. */
export async function bringIn(files: readonly Offered[]): Promise<BroughtIn> {
  const { plansFrom } = await forms();
  const { add } = useLibrary.getState();
  const brought: BroughtIn = { added: [], faults: [] };
  for (const file of files) {
    const { name, size } = file;
    if (size > LARGEST) {
      brought.faults.push({
        at: name,
        message: `${megabytes(size)} is too large for plans; at most ${megabytes(LARGEST)}. Choose a plan file.`,
      });
      continue;
    }
    const { plans, faults } = plansFrom(await file.text(), name);
    brought.faults.push(...faults);
    brought.added.push(...plans.map((plan) => ({ id: add('plans', plan), title: plan.title })));
  }
  return brought;
}

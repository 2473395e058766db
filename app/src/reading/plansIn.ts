import type { Plan } from '@keep-snug/core';
import { fragmentAmong, textInFragment } from '@keep-snug/core/link';
import equal from 'fast-deep-equal';
import { useLibrary } from '@/data/library';
import { forms } from './forms';
import { codeInFile } from './pictureCode';

/** A file as it is opened: only asked for its text once its size is known. A picture is looked through for a code. */
export interface Offered extends Partial<Pick<File, 'type'>> {
  name: string;
  size: number;
  /** Nothing where it was to be a code and is none. */
  text: () => Promise<string | undefined>;
}

/** What came of files that were opened: plans that lie on the bench now, and what is wrong with the others. */
export interface BroughtIn {
  added: { id: string; title: string }[];
  /** Those that lie there already, as they are. */
  known: { id: string; title: string }[];
  faults: { at: string; message: string }[];
}

/** A file larger than that is never one of plans, bytes. */
const LARGEST = 20_000_000;

const megabytes = (bytes: number) => `${Math.round(bytes / 1_000_000)} MB`;

const NO_CODE =
  'No code of a printed pattern can be read here. Take the picture from straight above, with all of the code and some white round it.';

const isPicture = ({ type = '' }: Offered): boolean => type.startsWith('image/');

/** The plan that a code on paper holds, as text. */
const planInCode = (code: string | undefined): string | undefined =>
  code === undefined ? undefined : textInFragment(code);

/** What a code that was scanned says, as a file. */
export function scanned(code: string): Offered {
  const text = planInCode(code);
  return { name: 'The code', size: code.length, text: async () => text };
}

const NO_PLAN =
  'This PDF says nothing of its plan. Patterns saved as PDF here do; of another take a picture of the code on its last page.';

const isPdf = ({ name, type = '' }: Offered): boolean => type === 'application/pdf' || /\.pdf$/i.test(name);

/** A file's plans as text: of a picture those in its code, of a PDF those it says of itself. */
async function textOf(file: Offered): Promise<string | undefined> {
  if (isPicture(file)) return planInCode(await codeInFile(file as File));
  const text = await file.text();
  return isPdf(file) && text !== undefined ? planInCode(fragmentAmong(text)) : text;
}

/** The plan of the bench that is the same to the last word. */
function alreadyHere(plan: Plan): string | undefined {
  const { plans } = useLibrary.getState().shelves;
  return Object.entries(plans).find(([, { body, gone }]) => !gone && equal(body, plan))?.[0];
}

/** Puts the plans of files on the bench. One that cannot be read does not keep the others out, and is told at its file. */
export async function bringIn(files: readonly Offered[]): Promise<BroughtIn> {
  const { plansFrom } = await forms();
  const { add } = useLibrary.getState();
  const brought: BroughtIn = { added: [], known: [], faults: [] };
  for (const file of files) {
    const { name, size } = file;
    if (size > LARGEST) {
      brought.faults.push({
        at: name,
        message: `${megabytes(size)} is too large for plans; at most ${megabytes(LARGEST)}. Choose a plan file.`,
      });
      continue;
    }
    const text = await textOf(file);
    if (text === undefined) {
      brought.faults.push({ at: name, message: isPdf(file) ? NO_PLAN : NO_CODE });
      continue;
    }
    const { plans, faults } = plansFrom(text, name);
    brought.faults.push(...faults);
    for (const plan of plans) {
      const there = alreadyHere(plan);
      if (there) brought.known.push({ id: there, title: plan.title });
      else brought.added.push({ id: add('plans', plan), title: plan.title });
    }
  }
  return brought;
}

import { textInFragment } from '@keep-snug/core/link';
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
    const text = isPicture(file) ? planInCode(await codeInFile(file as File)) : await file.text();
    if (text === undefined) {
      brought.faults.push({ at: name, message: NO_CODE });
      continue;
    }
    const { plans, faults } = plansFrom(text, name);
    brought.faults.push(...faults);
    brought.added.push(...plans.map((plan) => ({ id: add('plans', plan), title: plan.title })));
  }
  return brought;
}

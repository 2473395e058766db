import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { checkPlan, LONGEST_PLAN } from './plan';
import { EVERYTHING_FORMAT } from './everything';

/** What a file, or what was pasted, held: the plans that can be read, and what is wrong with the others. */
export interface PlansIn {
  plans: Plan[];
  faults: { at: string; message: string }[];
}

/** So many plans are taken from one file. */
const MOST_PLANS = 500;

const NEWER = /^keep-snug\.plan\/(\d+)$/;
const OWN = Number(NEWER.exec(PLAN_FORMAT)![1]);

/**
 * Reads plans from text: one plan, or a list of them. One that cannot be read does not keep the others out.
 *
 * @param name what the text is called where its faults are told
 * @source handbook 11
 */
export function plansFrom(text: string, name: string): PlansIn {
  if (text.trim() === '') return nothing(name, 'It is empty. Choose a plan file that was saved here.');
  if (text.length > MOST_PLANS * LONGEST_PLAN)
    return nothing(name, `${text.length} characters are too many for a plan file. Choose one with fewer plans.`);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return nothing(
      name,
      'It is no plan file: it does not hold JSON, or was cut off. Save the plan again and choose that file.',
    );
  }
  const list = Array.isArray(value) ? (value as unknown[]) : [value];
  if (list.length > MOST_PLANS)
    return nothing(name, `It holds ${list.length} plans. Bring in at most ${MOST_PLANS} at a time.`);
  const read = list.map((one, index) => readOne(one, list.length > 1 ? `${name}, plan ${index + 1}` : name));
  return { plans: read.flatMap(({ plans }) => plans), faults: read.flatMap(({ faults }) => faults) };
}

const nothing = (at: string, message: string): PlansIn => ({ plans: [], faults: [{ at, message }] });

function readOne(value: unknown, at: string): PlansIn {
  const format = formatOf(value);
  if (format === EVERYTHING_FORMAT)
    return nothing(at, 'This is a file of everything. Bring it back in Settings, under Data.');
  const newer = NEWER.exec(format ?? '');
  if (newer && Number(newer[1]) > OWN)
    return nothing(
      at,
      `It was made by a newer Keep Snug (${format}). Update this one, then bring it in again; nothing of it was changed.`,
    );
  const checked = checkPlan(value);
  if (checked.ok) return { plans: [checked.value], faults: [] };
  return { plans: [], faults: checked.errors.map(({ path, message }) => ({ at: `${at}: ${path}`, message })) };
}

function formatOf(value: unknown): string | undefined {
  const format = (value as { format?: unknown } | null)?.format;
  return typeof format === 'string' ? format : undefined;
}

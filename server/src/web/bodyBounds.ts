import type { RequestHandler } from 'express';
import { sendProblem } from './problem';

/** No document or batch that the app sends comes near these; beyond them no form is checked any more. */
const BODY_BOUNDS = { depth: 32, keys: 200, values: 20_000 } as const;

/** Refuses a body that is too deep, too wide or too much, before anything looks at what it says. */
export const bodyBounds: RequestHandler = (req, res, next) => {
  const message = beyond(req.body);
  if (!message) return next();
  return sendProblem(res, 422, {
    title: 'This is more than any document holds.',
    errors: [{ path: 'document', message }],
  });
};

function beyond(body: unknown): string | undefined {
  const waiting = [{ value: body, depth: 1 }];
  let values = 0;
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value, depth } = next;
    if (typeof value !== 'object' || value === null) continue;
    if (depth > BODY_BOUNDS.depth) return `Nested more than ${BODY_BOUNDS.depth} deep. Send it flatter.`;
    const inside = Object.values(value);
    if (!Array.isArray(value) && inside.length > BODY_BOUNDS.keys)
      return `${inside.length} entries in one object, and ${BODY_BOUNDS.keys} are the most. Leave out what is not part of the format.`;
    values += inside.length;
    if (values > BODY_BOUNDS.values) return `More than ${BODY_BOUNDS.values} values. Send it in parts.`;
    for (const each of inside) waiting.push({ value: each, depth: depth + 1 });
  }
  return undefined;
}

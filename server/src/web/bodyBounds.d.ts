import type { RequestHandler } from 'express';
/** No document or batch that the app sends comes near these; beyond them no form is checked any more. */
export declare const BODY_BOUNDS: {
  readonly depth: 32;
  readonly keys: 200;
  readonly values: 20000;
};
/** Refuses a body that is too deep, too wide or too much, before anything looks at what it says. */
export declare const bodyBounds: RequestHandler;

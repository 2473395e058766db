import { type PlanFault } from '@keep-snug/core';
import type { ErrorRequestHandler, Response } from 'express';
interface Problem {
  title: string;
  detail?: string;
  errors?: readonly PlanFault[];
  /** What stands at the moment, where a write was refused for being stale. */
  present?: unknown;
}
/** Answers with a problem document (application/problem+json). */
export declare function sendProblem(res: Response, status: number, problem: Problem): void;
/** The last handler: every error leaves as a problem document, and none says more than it should. */
export declare const problemHandler: ErrorRequestHandler;
export {};

import { Router } from 'express';
import { type Feed } from '../store';
/** `/api/changes`: all that was written, in one order, page by page. */
export declare function changesRoutes({ changes }: Feed): Router;

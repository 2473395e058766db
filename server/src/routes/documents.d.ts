import { Router } from 'express';
import type { DocumentStore } from '../store';
/** `/api/plans`, `/api/things`, `/api/yarns`, `/api/swatches`, `/api/makes`: documents with revisions. */
export declare function documentRoutes(store: DocumentStore): Router;

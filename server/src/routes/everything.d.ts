import { Router } from 'express';
import { type DocumentStore, type EventStore } from '../store';
/** `/api/everything`: all that this house holds, as one file. It is written as it is read, however much it is. */
export declare function everythingRoutes(documents: DocumentStore, events: EventStore): Router;

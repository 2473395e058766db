import { Router } from 'express';
import { type EventStore } from '../store';
/** `/api/events`: send a batch (twice does no harm), ask what happened to a make. */
export declare function eventRoutes(store: EventStore): Router;

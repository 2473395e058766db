import { Router } from 'express';
import type { Reckoner } from '../reckoning/reckoner';
/** The server as a compute node for slow phones: the same reckoning that the app does itself. */
export declare function reckonRoutes({ reckon }: Reckoner): Router;

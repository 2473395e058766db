import { v4 } from 'uuid';

/** A new UUID, also where the page is not served securely and the browser withholds its own. */
export const newId = (): string => v4();

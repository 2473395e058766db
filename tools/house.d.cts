export const ROOMS: readonly string[];

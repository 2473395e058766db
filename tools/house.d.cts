export const ROOMS: readonly string[];
export const FLOORS: readonly string[];

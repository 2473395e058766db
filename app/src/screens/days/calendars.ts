/** What reads and writes calendar files: a part of its own, asked for when it is needed. */
export const calendars = () => import('@keep-snug/core/calendar');

/** What reads and writes tables: parts of their own, asked for when they are needed. */
export const csvReader = async () => (await import('papaparse')).default;
export const csvTables = () => import('@/data/checked');

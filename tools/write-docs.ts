import { formatsTables, publishedPlanSchema, withTables } from '@keep-snug/core/formats';
import { readFileSync, writeFileSync } from 'node:fs';
import { guidePage } from './guide';
import { workingsPage } from './workings';

/** Writes what the docs say of the definitions: the published schema, the tables of the formats, the workings, and the guide. */

const file = (path: string) => new URL(`../docs/${path}`, import.meta.url);

writeFileSync(file('schema/plan-1.schema.json'), `${JSON.stringify(publishedPlanSchema(), null, 2)}\n`);
writeFileSync(file('FORMATS.md'), withTables(readFileSync(file('FORMATS.md'), 'utf8'), formatsTables()));
writeFileSync(file('WORKINGS.md'), workingsPage());
writeFileSync(file('GUIDE.md'), guidePage());

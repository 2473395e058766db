import { publishedPlanSchema } from '@keep-snug/core/formats';
import { writeFileSync } from 'node:fs';

const file = new URL('../docs/schema/plan-1.schema.json', import.meta.url);
writeFileSync(file, `${JSON.stringify(publishedPlanSchema(), null, 2)}\n`);

import { planForm } from './plan';
import { toJsonSchema, type JsonSchema } from './toJsonSchema';

/** The JSON Schema of a plan as it stands in docs/schema, for other programs to write plans by. */
export function publishedPlanSchema(): JsonSchema {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: 'keep-snug.plan/1',
    title: 'A Keep Snug plan',
    ...toJsonSchema(planForm),
  };
}

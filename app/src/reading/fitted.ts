import { type Fitted } from '@keep-snug/core';

export const FITTED: readonly { id: Fitted; name: string }[] = [
  { id: 'tight', name: 'tight' },
  { id: 'right', name: 'just right' },
  { id: 'loose', name: 'loose' },
];

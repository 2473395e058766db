import { later } from '@/ui/layout/later';
import { useTechniqueTrail } from '@/data/techniqueTrail';

const TechniquePanel = later(() => import('@/technique/TechniquePanel').then(({ TechniquePanel: panel }) => panel));

/** What was opened from a word: how it is worked is fetched with the first that is opened. */
export function OpenTechnique() {
  const isOpen = useTechniqueTrail(({ trail }) => trail.length > 0);
  return isOpen ? <TechniquePanel /> : null;
}

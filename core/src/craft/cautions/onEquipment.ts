import type { CautionDefinition } from './definition';

export const onEquipment: CautionDefinition = {
  id: 'on-equipment',
  text: 'On a walking aid, a wheelchair or a pushchair a bag can tip it, catch a wheel or cover a brake. Keep it light, low and central, stay under the equipment’s load limit, and ask its maker or the therapist first.',
  hazard: 'equipment',
};

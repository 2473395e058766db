import { Slot } from 'expo-router';
import { Places } from '@/parts/Places';

export default function PlacesLayout() {
  return (
    <Places>
      <Slot />
    </Places>
  );
}

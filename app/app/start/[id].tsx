import { startDefinition } from '@keep-snug/core';
import { Redirect, useLocalSearchParams } from 'expo-router';
import { later } from '@/ui/layout/later';

const StartPage = later(() => import('@/screens/starts/StartPage').then((page) => page.StartPage));

export default function StartRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const definition = startDefinition(id);
  return definition ? <StartPage key={definition.id} start={definition} /> : <Redirect href="/starts" />;
}

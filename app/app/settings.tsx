import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/settings/SettingsPage').then(({ SettingsPage }) => SettingsPage));

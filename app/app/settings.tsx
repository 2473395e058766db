import { later } from '@/parts/later';

export default later(() => import('@/settings/SettingsPage').then(({ SettingsPage }) => SettingsPage));

export { SettingsPage as default } from '@/settings/SettingsPage';

import { lazy } from 'react';

export default lazy(() =>
  import('../features/settings/SettingsScreen').then((screen) => ({ default: screen.SettingsScreen })),
);

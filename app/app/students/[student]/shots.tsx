import { lazy } from 'react';

export default lazy(() =>
  import('../../../features/beyondTheList').then((screens) => ({ default: screens.ShotsScreen })),
);

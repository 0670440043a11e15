import { lazy } from 'react';

export default lazy(() =>
  import('../features/lazyScreens').then((screens) => ({ default: screens.LaddersScreen })),
);

import { lazy } from 'react';

export default lazy(() =>
  import('../../features/methods').then((screens) => ({ default: screens.MethodsScreen })),
);

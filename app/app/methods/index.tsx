import { lazy } from 'react';

export default lazy(() =>
  import('../../features/methods/MethodsScreen').then((screen) => ({ default: screen.MethodsScreen })),
);

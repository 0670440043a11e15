import { lazy } from 'react';

export default lazy(() =>
  import('../../../features/methods/MethodScreen').then((screen) => ({ default: screen.MethodScreen })),
);

import { lazy } from 'react';

export default lazy(() =>
  import('../../../features/compare/CompareScreen').then((screen) => ({ default: screen.CompareScreen })),
);

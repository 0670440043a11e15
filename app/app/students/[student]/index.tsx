import { lazy } from 'react';

export default lazy(() =>
  import('../../../features/log/StudentScreen').then((screen) => ({ default: screen.StudentScreen })),
);

import { lazy } from 'react';

export default lazy(() =>
  import('../../../features/methods/EditorScreen').then((screen) => ({ default: screen.EditorScreen })),
);

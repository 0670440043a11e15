import { lazy } from 'react';

export default lazy(() =>
  import('../../../../features/log/RecordScreen').then((screen) => ({ default: screen.RecordScreen })),
);

import { lazy } from 'react';

export default lazy(() =>
  import('../features/outbox/OutboxScreen').then((screen) => ({ default: screen.OutboxScreen })),
);

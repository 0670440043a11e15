import { lazy } from 'react';

export default lazy(() =>
  import('../../features/lesson/LessonScreen').then((screen) => ({ default: screen.LessonScreen })),
);

import { lazy } from 'react';

export default lazy(() =>
  import('../../features/students/StudentFormScreen').then((screen) => ({
    default: screen.NewStudentScreen,
  })),
);

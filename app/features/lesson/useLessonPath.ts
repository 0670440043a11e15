import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';
import { usePersonalPath, type StudentPath } from '../../state/usePersonalPath';
import { useLessonContext } from './context';

/** What the lesson's setup does to this student's path, with the lesson's club. */
export function useLessonPath(): StudentPath {
  const { student } = useLessonContext();
  const clubLengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  return usePersonalPath(student.id, clubLengthInches);
}

import { useWide } from '../../ui/layout';
import { StudentList } from './StudentList';
import { TodayPage } from './TodayPage';

/** Before anybody is picked: the list on a phone, the day at its top; on a wide screen the day, beside the list. */
export function StudentsHome() {
  return useWide() ? <TodayPage /> : <StudentList />;
}

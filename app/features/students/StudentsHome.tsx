import { useWide } from '../../ui/layout';
import { NobodyChosen } from './NobodyChosen';
import { StudentList } from './StudentList';

/** Before anybody is picked: the list on a phone; on a wide screen, where it is beside this, what to do next. */
export function StudentsHome() {
  return useWide() ? <NobodyChosen /> : <StudentList />;
}

/**
 * Every screen that is opened from the students' list, loaded together when the first of them is:
 * they share most of what they are made of, and what several parts share would otherwise have to
 * load with the list.
 */
export { CardScreen } from './card/CardScreen';
export { CompareScreen } from './compare/CompareScreen';
export { LessonScreen } from './lesson/LessonScreen';
export { RecordScreen } from './record/RecordScreen';
export { StudentScreen } from './student/StudentScreen';
export { DrillsScreen } from './library/DrillsScreen';
export { LaddersScreen } from './library/LaddersScreen';
export { PracticeScreen } from './practice/PracticeScreen';
export { EditorScreen } from './methods/EditorScreen';
export { MethodScreen } from './methods/MethodScreen';
export { MethodsScreen } from './methods/MethodsScreen';
export { ShotsScreen } from './shots/ShotsScreen';
export { TrialScreen } from './trial/TrialScreen';
export { EditStudentScreen, NewStudentScreen } from './students/StudentFormScreen';
export { AcademyScreen } from './academy/AcademyScreen';
export { JoinScreen } from './account/JoinScreen';
export { ResetScreen } from './account/ResetScreen';
export { StartScreen } from './account/StartScreen';
export { RecoverScreen } from './account/RecoverScreen';
export { DataScreen } from './data/DataScreen';
export { KeptScreen } from './privacy/KeptScreen';
export { StudentPrivacyScreen } from './privacy/StudentPrivacyScreen';

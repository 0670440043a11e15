export { StudentsHome as default } from '../../features/students/StudentsHome';

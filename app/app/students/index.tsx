export { NobodyChosen as default } from '../../features/students/NobodyChosen';

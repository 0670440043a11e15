/** Everything about house methods, loaded together when the first of it is opened. */
export { CompareScreen } from '../compare/CompareScreen';
export { EditorScreen } from './EditorScreen';
export { MethodScreen } from './MethodScreen';
export { MethodsScreen } from './MethodsScreen';

import '../global.css';

export { Shell as default } from '../features/shell/Shell';

export { default } from '../templates/loading';

export { default } from '../clients/loading';

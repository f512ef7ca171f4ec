export { encode } from './encode';

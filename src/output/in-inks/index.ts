export { documentInInks } from './document-in-inks';

export * from './question';
export * from './questions';
export * from './reckon';
export { grammageOf, poundsOf, type Basis } from './paper-weight';

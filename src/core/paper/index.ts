export * from './sizes';
export * from './read-size';
export * from './envelopes';

export * from './font';
export * from './catalogue';
export * from './hyphenation';
export * from './compose';
export * from './caret';

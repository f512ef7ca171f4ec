export * from './civil';
export * from './names';
export * from './moon';
export * from './days-named';
export * from './work-calendar';

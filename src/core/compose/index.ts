export * from './element';
export * from './surface';
export * from './needs';
export * from './fit-picture';
export * from './ink';

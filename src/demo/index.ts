export * from './draw-sky';
export * from './draw-emblem';
export * from './draw-heavens';
export * from './pictures';
export * from './jobs';
export * from './keep';
export * from './laid-out';
export * from './kit';

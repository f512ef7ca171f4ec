export * from './draw-sky';
export * from './meteor-night';
export * from './jobs';
export * from './draw-emblem';
export * from './draw-heavens';

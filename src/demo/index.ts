export * from './draw-sky';
export * from './meteor-night';
export * from './jobs';

export * from './drawing';
export * from './silhouette';
// Outlines are geometry; whoever draws finds them here too.
export { ellipsePath, linePath, mapPath, rectPath, type Path, type Segment } from '../layout';

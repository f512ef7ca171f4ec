export * from './drawing';
export * from './page-box';
export * from './silhouette';
export * from './plate-names';
export * from './within';
// Outlines are geometry; whoever draws finds them here too.
export { ellipsePath, linePath, mapPath, rectPath, type Path, type Segment } from '../layout';

export * from './apply';
export * from './change';
export * from './file';
export { JOB_FACTS, withJobFacts, type JobFacts } from './job';
export * from './registry';

export * from './border';
export * from './chance';
export * from './copies';
export * from './side';
export * from './trimming';

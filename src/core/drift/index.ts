export * from './border';
export * from './chance';
export * from './copies';
export * from './folded';
export * from './rank';
export * from './side';
export * from './suggested';
export * from './trimming';

export * from './geometry';
export * from './path';
export * from './path-fault';
export * from './meeting-bleeds';

export * from './geometry';
export * from './path';
export * from './path-fault';

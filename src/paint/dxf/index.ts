export * from './dxf';

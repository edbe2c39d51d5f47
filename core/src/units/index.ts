export * from './count';
export * from './length';
export * from './result';

export * from './length';
export * from './result';

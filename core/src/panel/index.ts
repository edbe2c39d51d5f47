export * from './arrange';
export * from './directory';
export * from './schedule';
export * from './prices';

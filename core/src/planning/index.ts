export * from './cluster';
export * from './plan-circuits';
export * from './prices';
export * from './schools';

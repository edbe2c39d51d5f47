export * from './cluster';
export * from './plan-circuits';
export * from './schools';

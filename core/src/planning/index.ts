export * from './appliances';
export * from './cluster';
export * from './lock-conflict';
export * from './plan-circuits';
export * from './plan-totals';
export * from './schools';
export * from './split-circuit';

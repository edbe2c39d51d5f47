export * from './circuit-load';
export * from './outlets';
export * from './suggest';

export * from './cover';
export * from './propose';
export * from './reach';
export * from './receptacles';

export * from './box-catalogue';
export * from './cover';
export * from './luminaires';
export * from './obstructions';
export * from './propose';
export * from './reach';
export * from './receptacles';
export * from './outdoors';

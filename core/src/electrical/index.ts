export * from './conductors';

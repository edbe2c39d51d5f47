export * from './room-light';

export * from './room-light';
export * from './night-walk';
export * from './gangs';

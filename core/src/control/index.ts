export * from './room-light';
export * from './night-walk';
export * from './passages';
export * from './gangs';

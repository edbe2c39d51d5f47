export * from './counter-spaces';
export * from './intervals';
export * from './place-room';
export * from './points';
export * from './room-view';
export * from './studs';
export * from './wall-loop';
export * from './wall-spaces';

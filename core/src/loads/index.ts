export * from './library';
export * from './parse-power';

export * from './breaker-curve';
export * from './simulate-day';
export * from './typical-day';

export * from './arrange';
export * from './box-the-house';
export * from './cure';
export type { BoxingPlan, ReasonedBox } from './plan';
export * from './templates';

export * from './arrange';
export * from './box-the-house';
export * from './cure';
export type { BoxingPlan, ReasonedBox } from './plan';
export type { SchoolChange } from './school-change';
export { applySchools, compareWithSchools, SWITCHING_SCHOOLS, switchingOf } from './switch-schools';
export * from './templates';
export * from './wall-lights';

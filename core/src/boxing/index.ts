export * from './arrange';
export * from './box-the-house';
export * from './cure';
export type { BoxingPlan, ReasonedBox } from './plan';
export { applySchools, compareWithSchools, SWITCHING_SCHOOLS, switchingOf, type SchoolChange } from './switch-schools';
export * from './templates';

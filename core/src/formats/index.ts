export * from './house-file';
export * from './schedule-csv';
export * from './spice';
export { isNestedDeeper } from './json-depth';

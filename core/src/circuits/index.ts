export * from './cable-run';
export * from './circuit-drop';
export * from './circuit-load';
export * from './cooking';
export { continuousSection, type OwnRules, type SumStep } from './demand';
export * from './outlets';
export * from './sizing';
export * from './suggest';

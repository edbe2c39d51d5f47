export * from './conductors';
export * from './tables';
export * from './voltage-drop';

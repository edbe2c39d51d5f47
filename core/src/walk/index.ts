export * from './changes';
export * from './walk-sheets';

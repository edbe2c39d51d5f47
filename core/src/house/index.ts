export * from './copy-room';
export * from './create-house';
export * from './edit';
export * from './geometry';
export { checkIntegrity, collections, wallLengthIn, type Collection } from './integrity';
export * from './schema';
export * from './schema-equipment';
export * from './validate';
export * from './verbs';

export * from './check';
export * from './entry';
export * from './fold';
export * from './sheet';
export * from './sheetText';

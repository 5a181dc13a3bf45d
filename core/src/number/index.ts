export * from './distributions';
export * from './require';
export * from './summary';

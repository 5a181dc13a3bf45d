export * from './bolts';

export * from './groupBy';

export * from './recurrence';

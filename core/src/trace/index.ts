export * from './countedLooks';
export * from './recurrence';

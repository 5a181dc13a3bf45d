export * from './cover';
export * from './need';
export * from './delivery';

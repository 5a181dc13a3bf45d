export * from './cover';
export * from './need';

export * from './endOfLife';
export * from './characteristic';
export * from './forecast';
export * from './gammaProcess';
export * from './judge';
export * from './policy';
export * from './reason';
export * from './wearHistory';

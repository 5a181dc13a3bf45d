export * from './history';
export * from './inspect';
export * from './random';
export * from './shop';
export * from './wear';

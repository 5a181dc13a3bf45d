export * from './assemble';
export * from './history';
export * from './layoutTable';
export * from './inspect';
export * from './random';
export * from './shop';
export * from './stories';
export * from './wear';

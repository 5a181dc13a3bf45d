export * from './crank';
export * from './elastomer';
export * from './leak';
export * from './ringSize';
export * from './seat';
export * from './spring';

export * from './patterns';
export * from './register';
export * from './types';
export * from './wear';

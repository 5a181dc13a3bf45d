export * from './facts';
export * from './judgeMat';
export * from './littleMat';
export * from './place';
export * from './walk';
export * from './wholeInput';

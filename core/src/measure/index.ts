export * from './budget';
export * from './conformity';
export * from './fit';
export * from './form';
export * from './gauge';
export * from './outlier';
export * from './settle';
export * from './temperature';

export * from './patterns';
export * from './register';
export * from './partType';
export * from './wear';
export type * from './figures/keys';
export * from './lubricated';

export * from './distributions';
export * from './require';
export * from './summary';
export * from './chebyshev';
export * from './solve';
export * from './gaussLegendre';

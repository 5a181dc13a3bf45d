export * from './distributions';
export * from './require';
export * from './summary';
export * from './integrate';
export * from './minimise';
export * from './chebyshev';
export * from './solve';
export * from './gaussLegendre';

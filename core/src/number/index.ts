export * from './distributions';
export { gammaLn, gammaUpper } from './gamma';
export * from './chiSquare';
export * from './beta';
export * from './require';
export * from './summary';
export * from './chebyshev';
export * from './solve';
export * from './gaussLegendre';

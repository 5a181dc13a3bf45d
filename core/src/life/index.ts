export * from './age';
export * from './wearPrior';
export * from './wearLooks';
export * from './partWear';
export * from './fleetWear';
export * from './otherEnds';
export * from './duty';

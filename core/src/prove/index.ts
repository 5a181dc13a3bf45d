export * from './flow';
export * from './hold';
export * from './shaftOrders';
export * from './whichValve';
export * from './trappedWater';

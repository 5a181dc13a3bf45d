export * from './bolts';
export * from './seating';
export * from './shims';
export * from './slottedNut';
export * from './torque';

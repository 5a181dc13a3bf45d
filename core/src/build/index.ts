export * from './bolts';
export * from './proposedTorque';
export * from './seating';
export * from './shims';
export * from './slottedNut';
export * from './torque';

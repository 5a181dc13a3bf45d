import type { PartType } from './partType';
import * as partTypes from './types';

export { partTypes };

export type PartTypeKey = keyof typeof partTypes;
export const partTypeKeys = Object.keys(partTypes).sort() as [PartTypeKey, ...PartTypeKey[]];
export const partType = (key: PartTypeKey): PartType => partTypes[key];

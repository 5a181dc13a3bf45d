import type { PartTypeKey } from './register';

const LUBRICATED: readonly PartTypeKey[] = [
	'oRing',
	'backupRing',
	'lipSeal',
	'vRing',
	'cup',
	'ropePacking',
	'oilSeal',
	'regulatorPacking'
];

/** Whether parts of this type are lubricated before they are pushed in: dry, they are cut or pinched. */
export const goesInLubricated = (type: PartTypeKey): boolean => LUBRICATED.includes(type);

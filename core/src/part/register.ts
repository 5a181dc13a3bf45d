/** The register of part types. To add one: write its file, name it here, and draw its glyph. */
import { adapter } from './adapter';
import { backupRing } from './backupRing';
import { bore } from './bore';
import { fastener } from './fastener';
import { gasket } from './gasket';
import { lipSeal } from './lipSeal';
import { manifold } from './manifold';
import { oRing } from './oRing';
import { oilPan } from './oilPan';
import { plunger } from './plunger';
import { plungerRetainer } from './plungerRetainer';
import { sealCase } from './sealCase';
import { sealRetainer } from './sealRetainer';
import { slinger } from './slinger';
import { spring } from './spring';
import { vRing } from './vRing';
import { valve } from './valve';
import { valveSeat } from './valveSeat';
import { washer } from './washer';
import { wick } from './wick';
import type { PartType } from './types';

export const partTypes = {
	adapter,
	backupRing,
	bore,
	fastener,
	gasket,
	lipSeal,
	manifold,
	oRing,
	oilPan,
	plunger,
	plungerRetainer,
	sealCase,
	sealRetainer,
	slinger,
	spring,
	vRing,
	valve,
	valveSeat,
	washer,
	wick
} satisfies Record<string, PartType>;

export type PartTypeKey = keyof typeof partTypes;
export const partTypeKeys = Object.keys(partTypes) as [PartTypeKey, ...PartTypeKey[]];
export const partType = (key: PartTypeKey): PartType => partTypes[key];

/** The register of part types. To add one: write its file, name it here, and draw its glyph. */
import { adapter } from './adapter';
import { backupRing } from './backupRing';
import { bore } from './bore';
import { cage } from './cage';
import { conicalWasher } from './conicalWasher';
import { cotterPin } from './cotterPin';
import { crossheadBore } from './crossheadBore';
import { cup } from './cup';
import { cylinder } from './cylinder';
import { diaphragm } from './diaphragm';
import { fastener } from './fastener';
import { flatSeal } from './flatSeal';
import { gasket } from './gasket';
import { guide } from './guide';
import { lipSeal } from './lipSeal';
import { manifold } from './manifold';
import { oilPan } from './oilPan';
import { oilSeal } from './oilSeal';
import { oRing } from './oRing';
import { piston } from './piston';
import { plunger } from './plunger';
import { plungerRetainer } from './plungerRetainer';
import { regulatorPacking } from './regulatorPacking';
import { regulatorSeat } from './regulatorSeat';
import { regulatorStem } from './regulatorStem';
import { rod } from './rod';
import { ropePacking } from './ropePacking';
import { sealCase } from './sealCase';
import { sealingWasher } from './sealingWasher';
import { sealRetainer } from './sealRetainer';
import { shim } from './shim';
import { sleeve } from './sleeve';
import { slinger } from './slinger';
import { spacer } from './spacer';
import { spring } from './spring';
import { springRetainer } from './springRetainer';
import { valve } from './valve';
import { valvePlate } from './valvePlate';
import { valveSeat } from './valveSeat';
import { vRing } from './vRing';
import { washer } from './washer';
import { wick } from './wick';
import type { PartType } from './types';

export const partTypes = {
	adapter,
	backupRing,
	bore,
	cage,
	conicalWasher,
	cotterPin,
	crossheadBore,
	cup,
	cylinder,
	diaphragm,
	fastener,
	flatSeal,
	gasket,
	guide,
	lipSeal,
	manifold,
	oilPan,
	oilSeal,
	oRing,
	piston,
	plunger,
	plungerRetainer,
	regulatorPacking,
	regulatorSeat,
	regulatorStem,
	rod,
	ropePacking,
	sealCase,
	sealingWasher,
	sealRetainer,
	shim,
	sleeve,
	slinger,
	spacer,
	spring,
	springRetainer,
	valve,
	valvePlate,
	valveSeat,
	vRing,
	washer,
	wick
} satisfies Record<string, PartType>;

export type PartTypeKey = keyof typeof partTypes;
export const partTypeKeys = Object.keys(partTypes) as [PartTypeKey, ...PartTypeKey[]];
export const partType = (key: PartTypeKey): PartType => partTypes[key];

import { requireThat } from '../number';
import { boltGeometry, type Bolt } from './boltGeometry';

/** Property classes of steel bolts, and their least 0.2 % proof stress in MPa, up to and above M16: ISO 898-1:2013, table 3. */
const proofStress = {
	'5.6': [300, 300],
	'6.8': [480, 480],
	'8.8': [640, 660],
	'10.9': [940, 940],
	'12.9': [1100, 1100]
} as const;
export type PropertyClass = keyof typeof proofStress;
export const propertyClasses = Object.keys(proofStress) as PropertyClass[];

const LARGER_THAN_MM = 16;
const DIGITS = 2; // as an assumption deserves
/** How far the proof stress is used by pull and twist together: the usual assembly value of VDI 2230-1:2015, 5.5.2. */
const USED = 0.9;

/**
 * A torque for a bolt without a stated one, from its size, property class and friction: pull and twist together use 90 % of
 * the least proof stress of the bolt. Rounded to two digits. It holds for a steel bolt in a steel thread; a softer thread carries less.
 *
 * Units: mm, N·m. Errors: PreconditionError for a thread or friction outside of M3 to M36 and 0 to 1.
 * Source: VDI 2230-1:2015, 5.4.3.1 and 5.5.2; ISO 898-1:2013. Accuracy: within 5 % of
 * values that are commonly tabulated by this method for M8 to M16; tested.
 *
 * @example proposedTorque({ diameterMm: 8, friction: 0.12 }, '8.8') // 25
 */
export function proposedTorque(bolt: Bolt, propertyClass: PropertyClass): number {
	const stress = proofStress[propertyClass];
	requireThat(stress !== undefined, 'proposedTorque', 'propertyClass', propertyClass, propertyClasses.join(', '));
	const { pitchMm, pitchDiameterMm, stressDiameterMm, leverMm } = boltGeometry('proposedTorque', bolt);
	// Twist of the thread beside the pull, as a share of it: VDI 2230-1, (5.5/3).
	const twist =
		1.5 *
		(pitchDiameterMm / stressDiameterMm) *
		(pitchMm / (Math.PI * pitchDiameterMm) + bolt.friction / Math.cos(Math.PI / 6));
	const area = (Math.PI / 4) * stressDiameterMm ** 2;
	const loadN = (USED * stress[bolt.diameterMm > LARGER_THAN_MM ? 1 : 0] * area) / Math.sqrt(1 + 3 * twist ** 2);
	return Number(((loadN * leverMm) / 1000).toPrecision(DIGITS));
}

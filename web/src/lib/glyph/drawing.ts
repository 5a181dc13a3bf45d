import type { PartTypeKey } from '@exetasis/core/part';
import type { Station } from '@exetasis/core/record';
import { shapes, type Shape } from './shapes';

/** What a drawing needs to know of how a part faces. */
export type DrawnFace = Pick<Station['face'], 'toward' | 'feature' | 'mateLies'>;
type Feature = NonNullable<DrawnFace['feature']>;

const ring = (upper: string, lower: string): readonly Shape[] => [
	{ d: upper, hatch: 'metal' },
	{ d: lower, hatch: 'metal' },
	{ d: 'M8 24H40' }
];

// Parts of one type that differ in the end that matters.
const ownEnd: Partial<Record<PartTypeKey, Partial<Record<Feature, readonly Shape[]>>>> = {
	adapter: {
		cone: ring('M19 6H33V18H19L13 12Z', 'M19 42H33V30H19L13 36Z'),
		notch: ring('M13 6H33V18H13V14H19V10H13Z', 'M13 42H33V30H13V34H19V38H13Z'),
		step: ring('M13 10H22V6H33V18H13Z', 'M13 38H22V42H33V30H13Z')
	}
};

// Every other feature lies at the left end of its drawing.
const atRightEnd: Partial<Record<PartTypeKey, readonly Feature[]>> = {
	adapter: ['flat'],
	guide: ['cone', 'step'],
	lipSeal: ['flat', 'cone'],
	plunger: ['counterbore', 'groove'],
	sleeve: ['counterbore'],
	springRetainer: ['tab', 'leg'],
	valve: ['cone', 'taper'],
	valveSeat: ['taper']
};

// Where the sheet names no feature: the bores of a manifold, the bored end of a plunger, the shank of its retainer, a guide's stem.
const tellingEndAtRight: readonly PartTypeKey[] = ['guide', 'manifold', 'plunger', 'plungerRetainer'];

/** A part's outlines, and whether they are mirrored so that its feature points where it has to: P to the left. */
export function drawingOf(
	type: PartTypeKey,
	{ toward, feature, mateLies }: DrawnFace
): { readonly outlines: readonly Shape[]; readonly mirrored: boolean } {
	const outlines = (feature && ownEnd[type]?.[feature]) ?? shapes[type];
	// A part that is given against its mate faces the side on which that lies.
	const side = toward === 'mate' ? mateLies : toward;
	if (side !== 'P' && side !== 'C') return { outlines, mirrored: false };
	const atRight =
		feature === undefined ? tellingEndAtRight.includes(type) : (atRightEnd[type]?.includes(feature) ?? false);
	return { outlines, mirrored: atRight === (side === 'P') };
}

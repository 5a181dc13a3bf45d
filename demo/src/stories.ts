import type { PatternKey, Severity } from '@exetasis/core/part';
import type { EntryOf, Onset, Station } from '@exetasis/core/record';
import type { Rebuild } from './inspect';
import { people, type DemoPump } from './shop';
import type { TruePart } from './wear';

/** What goes wrong at one pump, again and again, until someone finds out why. */
export type Story = 'oneSidedCylinder2' | 'scoredPlungerKept' | 'metalInOil' | 'cavitatesInSummer' | 'filterBypassed';

export const complaintOf: Readonly<Record<Story, string>> = {
	oneSidedCylinder2: 'Water leak at the front',
	scoredPlungerKept: 'Water leak at the front',
	metalInOil: 'Noise, oil dark',
	cavitatesInSummer: 'Pulsing pressure, crackling',
	filterBypassed: 'Water leak at the front, all over'
};

export interface Mark {
	readonly pattern: PatternKey;
	readonly severity: Severity;
	readonly onset: Onset;
}

const FIXED_AFTER_YEARS = 3.2; // the barge's rod was found out of line then; the quarry's plunger is still there
const BYPASSED_YEARS = [1.8, 2.9] as const; // how long the other quarry ran without its filter
const SUMMER = [5, 6, 7, 8]; // June to September
const EARLY_SPRINGS_YEARS = [0.8, 1.7] as const; // when the batch of springs that sets early was in the drawer
const EARLY_SPRING_FACTOR = 5;
const PINCHED_SHARE = 0.6;

type Told = Pick<Rebuild, 'pump' | 'progress' | 'years' | 'at' | 'refitBy'>;
interface Place {
	readonly station: string;
	readonly cylinder: number;
}

const inYears = (years: number, [from, to]: readonly [number, number]): boolean => years >= from && years < to;

/** True once the story's cause has been put right. */
export const isFixed = ({ pump, years }: Pick<Rebuild, 'pump' | 'years'>): boolean =>
	pump.story === 'oneSidedCylinder2' && years > FIXED_AFTER_YEARS;

/** What the planted stories leave behind at one place. */
export function storyMarks(told: Told, { station, cylinder }: Place, chance: (p: number) => boolean): Mark[] {
	if (isFixed(told)) return [];
	const mark = (pattern: PatternKey, severity: Severity, onset: Onset = 'service'): Mark[] => [
		{ pattern, severity, onset }
	];
	const { pump, progress, years, at, refitBy } = told;
	// One technician's hand pinches the same ring, in whichever pump.
	const pinches = people.some(({ name, habit }) => habit === 'pinchesRetainerORing' && name === refitBy);
	if (pinches && station === 'retainerORing' && cylinder === 3 && chance(PINCHED_SHARE))
		return mark('pinched', 1, 'assembly');
	switch (pump.story) {
		case 'oneSidedCylinder2':
			if (cylinder !== 2) return [];
			if (station === 'packing') return mark('oneSidedWear', 2);
			return station === 'plunger' ? mark('oneSidedWear', 1) : [];
		case 'scoredPlungerKept':
			if (cylinder !== 1) return [];
			if (station === 'packing') return mark('lipTorn', 2);
			return station === 'plunger' ? mark('axialScoring', 1) : [];
		case 'metalInOil':
			return progress === 'half' && station === 'oil' ? mark('metalInOil', 2) : [];
		case 'cavitatesInSummer':
			if (!SUMMER.includes(at.getUTCMonth())) return [];
			return station === 'inletValve' || station === 'inletSeat' ? mark('pitted', 2) : [];
		case 'filterBypassed':
			if (!inYears(years, BYPASSED_YEARS)) return [];
			if (station === 'packing') return mark('embeddedGrit', 2);
			return station === 'plunger' ? mark('axialScoring', 2) : [];
		default:
			return [];
	}
}

type Paint = EntryOf<'mark'>['payload'];

/** What is seen on the plungers of two stories, painted where it is: one side rubbed, and scores all along the stroke. */
export function painted(told: Told, { station, cylinder }: Place): Paint[] {
	const { pump } = told;
	if (isFixed(told) || station !== 'plunger') return [];
	if (pump.story === 'oneSidedCylinder2' && cylinder === 2)
		return [
			{ shape: 'band', fromMm: 34, toMm: 58, fromDeg: 60, toDeg: 130 },
			...[75, 90, 95, 110].map((deg): Paint => ({ shape: 'line', fromMm: 36, toMm: 56, fromDeg: deg, toDeg: deg }))
		];
	if (pump.story === 'scoredPlungerKept' && cylinder === 1)
		return [20, 85, 150, 220, 310].map((deg, i) => ({
			shape: 'line',
			fromMm: 32 + 2 * i,
			toMm: 60 - i,
			fromDeg: deg,
			toDeg: deg
		}));
	return [];
}

/** How hard one place of a pump wears: its duty's harshness; the plunger that is kept in spite of its scratches hardly shrinks. */
export const harshnessAt = ({ harshness, story }: DemoPump, station: string, cylinder: number): number =>
	story === 'scoredPlungerKept' && station === 'plunger' && cylinder === 1 ? harshness / 5 : harshness;

/** Whether the drawer had the springs that set early in that year. */
export const inEarlySpringYears = (years: number): boolean => inYears(years, EARLY_SPRINGS_YEARS);

/** A new part as the drawer had it in that year: springs of one batch set early. */
export const fromTheDrawer = (part: TruePart, { type }: Station, years: number): TruePart =>
	type === 'spring' && inEarlySpringYears(years)
		? { ...part, rate: new Map([...part.rate].map(([key, rate]) => [key, rate * EARLY_SPRING_FACTOR])) }
		: part;

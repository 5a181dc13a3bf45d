import type { MeasuredValue } from '../measure';
import type { RingSize } from '../mechanics';
import type { Unit } from '../quantity';
import type { FigureInput, FigureKey } from './figures/keys';
import type { PatternKey } from './patterns';

/** What a part is made of, as it is hatched in the section drawing. */
export type Material = 'ceramic' | 'metal' | 'elastomer' | 'plastic' | 'fibre';

/** How bad a finding is: 1 slight (a trace), 2 moderate, 3 severe. */
export type Severity = 1 | 2 | 3;

/** A damage pattern on one part type, and from which severity on it ends the part's life whatever is measured. */
export interface PatternRule {
	readonly pattern: PatternKey;
	/** Out from this severity on; left out: the pattern alone never condemns, it is weighed and traced. */
	readonly outFrom?: Severity;
	/** The mark may be dirt: clean, then look again before judging. */
	readonly cleanFirst?: true;
	/** The sizes in which this wear is measured: where one of them is on the sheet, a life that it ends is worn, not damaged. */
	readonly wearOf?: readonly string[];
	/** Puts the whole unit in question from this severity on: decide on the pump before buying seals. */
	readonly stopsUnitFrom?: Severity;
}

export const gaugeKinds = [
	'micrometer',
	'caliper',
	'depth gauge',
	'pin gauge',
	'bore gauge',
	'durometer',
	'loupe',
	'spring tester',
	'roughness tester',
	'feeler gauge',
	'dial indicator',
	'radius gauge',
	'protractor',
	'scale',
	'leak tester',
	'pressure gauge',
	'torque wrench',
	'comparison chart',
	'count by eye'
] as const;
export type GaugeKind = (typeof gaugeKinds)[number];

/** The unit in which each kind of gauge reads, and in which its certificate is stated. */
export const gaugeUnit: Readonly<Record<GaugeKind, Unit>> = {
	micrometer: 'mm',
	caliper: 'mm',
	'depth gauge': 'mm',
	'pin gauge': 'mm',
	'bore gauge': 'mm',
	durometer: 'shoreA',
	loupe: 'mm',
	'spring tester': 'N',
	'roughness tester': 'um',
	'feeler gauge': 'mm',
	'dial indicator': 'mm',
	'radius gauge': 'mm',
	protractor: 'deg',
	scale: 'g',
	'leak tester': 'MPa',
	'pressure gauge': 'MPa',
	'torque wrench': 'Nm',
	'comparison chart': 'share',
	'count by eye': 'pieces'
};

/** Something that can be measured on a part type. The model sheet adds nominal size and discard limit. */
export interface Characteristic {
	readonly key: string;
	readonly name: string;
	readonly unit: Unit;
	/** The direction in which wear moves it. */
	readonly wears: 'down' | 'up';
	readonly instrument: GaugeKind;
	/** True where a value beyond new, against the wear, is itself a fault (a spring longer than new). */
	readonly beyondNewIsFault?: true;
	/** Has no discard limit of its own: it tells a part from its like, or goes into a figure. */
	readonly limitless?: true;
	/** Judged by the form of all its readings together: dial deviations round a part, or heights over a face. */
	readonly form?: 'runout' | 'flatness';
}

/** A value of the design that a figure needs and no one measures: a gland's depth, a spring's working length. */
interface DesignValue {
	readonly key: string;
	readonly name: string;
	readonly unit: Unit;
}

/** One of the numbers that went into a figure. */
export interface Input<K extends string = FigureInput> {
	readonly key: K;
	readonly value: number;
	readonly unit: Unit;
	/** The mate that was measured, by its name on the sheet. */
	readonly of?: string;
}

/** A figure worked out from what was measured on a part and on the part it runs with. */
export interface Figure {
	readonly key: FigureKey;
	readonly value: number;
	readonly unit: Unit;
	/** Standard uncertainty, where the inputs carry one. */
	readonly u?: number;
	/** A limit from the sheet's design values: beyond it the part is out. */
	readonly limit?: { readonly min?: number; readonly max?: number };
	readonly inputs: readonly Input[];
	/** The ring of the standard series that comes nearest, where the figure says how far off it is. */
	readonly nearest?: RingSize;
}

export type Sizes = Readonly<Partial<Record<string, MeasuredValue>>>;
export type Values = Readonly<Partial<Record<string, number>>>;

/** What a part type has to go by when it works its figures out. Base units. */
export interface PartContext {
	/** Measured in this rebuild: the worst place of each characteristic. */
	readonly sizes: Sizes;
	/** As fitted where that was measured, else nominal. */
	readonly asNew: Values;
	readonly design: Values;
	/** The parts it runs with, their sizes as measured in this rebuild. */
	readonly mates: readonly { readonly type: string; readonly name: string; readonly sizes: Sizes }[];
	/** MPa; figures that need it are left out where it is not known. */
	readonly ratedPressure?: number;
}

/** All that the application knows of a type of part without a model sheet. */
export interface PartType {
	readonly key: string;
	readonly name: string;
	/** Other names that people look for it by. */
	readonly alsoCalled?: readonly string[];
	readonly material: Material;
	/** In the order of the letters under the left hand: at most ten. */
	readonly patterns: readonly PatternRule[];
	readonly characteristics: readonly Characteristic[];
	/** Design values that the sheet may give. */
	readonly design?: readonly DesignValue[];
	/**
	 * What is believed of its life where sheet and record are silent: our own defaults, shown as such. Hours in which a typical
	 * one wears to its discard limit (left out: it does not wear), a Weibull distribution of all other ends, and which share of
	 * those beyond a limit or damaged stops the pump before the next service.
	 */
	readonly lasts: {
		readonly hoursToLimit?: number;
		readonly competingFailures: { readonly scaleHours: number; readonly shape: number };
		readonly stopShare: number;
	};
	/** Elastomers and the like, which the "renew all soft parts" policy always renews while the pump is open. */
	readonly soft?: true;
	/** A surface of the pump itself: it is judged and never taken out. */
	readonly fixed?: true;
	/** Alike from both sides: no way of fitting it is the wrong one. */
	readonly symmetric?: true;
	/** Pushed or pressed home in a bore: how deep and how square it sits tells whether it is. */
	readonly pressedHome?: true;
	/** Never fitted a second time, whatever a sheet says. */
	readonly singleUse?: true;
	/** The family whose renewal shops differ on, if it is of one. */
	readonly renewal?: 'ring' | 'washer' | 'seat' | 'spring';
	/** Belongs to a valve, whose parts some shops renew together. */
	readonly valvePart?: true;
	/** By what a shop judges it where more than the hand is asked: which size for its length, which for its load. */
	readonly inspectedBy?: { readonly length: string; readonly load: string };
	/** Renewed all together, or not at all. */
	readonly renewedAsSet?: true;
	/** Characteristics by which it is told from its like on the same sheet. */
	readonly toldApartBy?: readonly string[];
	/** Thermal expansion where length follows temperature, 1/K. */
	readonly expansionPerKelvin?: number;
	/** What follows from the sizes beyond each one's own limit; leaves out what cannot be worked out yet. */
	readonly figures?: (context: PartContext) => readonly Figure[];
}

import type { Unit } from '../quantity';
import type { PatternKey } from './patterns';

/** What a part is made of, as it is hatched in the section drawing. */
export type Material = 'ceramic' | 'metal' | 'elastomer' | 'plastic' | 'fibre';

/** How bad a finding is: 1 slight (a trace), 2 clear, 3 severe. */
export type Severity = 1 | 2 | 3;

/** A damage pattern on one part type, and from which severity on it ends the part's life whatever is measured. */
export interface PatternRule {
	readonly pattern: PatternKey;
	/** Out from this severity on; left out: the pattern alone never condemns, it is weighed and traced. */
	readonly outFrom?: Severity;
	/** The mark may be dirt: clean, then look again before judging. */
	readonly cleanFirst?: true;
}

export type GaugeKind =
	| 'micrometer'
	| 'caliper'
	| 'depth gauge'
	| 'pin gauge'
	| 'bore gauge'
	| 'durometer'
	| 'loupe'
	| 'spring tester'
	| 'roughness tester'
	| 'feeler gauge'
	| 'dial indicator';

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
}

/** All that the application knows of a type of part without a model sheet. */
export interface PartType {
	readonly key: string;
	readonly name: string;
	readonly material: Material;
	/** In the order of the number keys: at most nine. */
	readonly patterns: readonly PatternRule[];
	readonly characteristics: readonly Characteristic[];
	/** Elastomers and the like, which the "renew all soft parts" school always renews while the pump is open. */
	readonly soft?: true;
	/** Thermal expansion where length follows temperature, 1/K. */
	readonly expansionPerKelvin?: number;
}

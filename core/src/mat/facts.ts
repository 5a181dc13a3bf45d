import type { FleetKnowledge, Forecast, PartPast, Policy, PumpKnowledge, ShopGauge } from '../decide';
import type { ModelSheet } from '../record';

/** One cell of the mat: which part lies there and what is known of its life. */
export interface MatCell extends PartPast {
	readonly part: string;
	readonly station: string;
	readonly cylinder: number;
	/** Hours run since it was fitted; null where no one knows when that was. */
	readonly hours: number | null;
	readonly asFitted: Readonly<Record<string, number>>;
	/** Rebuilds in which it was looked at and kept. */
	readonly kept: number;
	/** Lives that this place has already used up, on record. */
	readonly earlierLives: number;
}

/** How parts of this model wear and end in this shop, and what is known of this pump and its duty. */
interface MatKnowledge extends Pick<FleetKnowledge, 'wear' | 'ends' | 'settled' | 'setAside'>, PumpKnowledge {}

/** What judging a mat rests on, besides what was recorded of its parts. */
export interface MatFacts {
	readonly sheet: ModelSheet;
	readonly cells: readonly MatCell[];
	readonly gauges: readonly ShopGauge[];
	readonly policy: Policy;
	readonly fleet: MatKnowledge;
	/** By part, what was worked out of its future before. */
	readonly forecasts?: Readonly<Record<string, Forecast>>;
}

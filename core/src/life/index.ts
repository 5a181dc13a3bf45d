export * from './age';
export { LifeContext } from './context';
export { wearPriorOf, openRate, scatterSpread, type WearPrior } from './wearPrior';
export { followWear, type Track, type WearHistory } from './wearInspections';
export type { WearInspection } from './wearWindow';
export { PartWear, priorKnowledge, type LogRate, type WearKnowledge } from './partWear';
export type { Risk } from './risk';
export { QUANTILE_WEIGHTS } from './rateBeliefs';
export * from './inPieces';
export { fittingFleetWear, fitFleetWear, unknownClass, unknownPump, type KindOnRecord } from './fleetWear';
export {
	endsBefore,
	fitCompetingFailures,
	fittingCompetingFailures,
	lifePriorOf,
	newPartFails,
	riskOfCompetingFailure,
	type LifePrior,
	type CompetingFailures,
	type OtherLife
} from './competingFailures';
export * from './duty';

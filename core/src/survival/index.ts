export {
	endedAt,
	endedBetween,
	hasEnded,
	heldTo,
	isExact,
	isWatchedLate,
	withAge,
	type ObservedLife
} from './observedLife';
export * from './weibull';
export * from './compareWeibull';
export * from './stepCurves';
export * from './logRank';
export * from './turnbull';
export * from './repairs';
export * from './panelTrend';
export * from './turnbullBand';

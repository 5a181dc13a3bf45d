export {
	exactLife,
	intervalCensored,
	hasEnded,
	rightCensored,
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

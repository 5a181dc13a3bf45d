import type { PatternKey, Severity } from '../part';
import type { Onset } from '../record';

/** Why a verdict: data, worst first. The interface makes sentences of them. Sizes in base units, probabilities 0–1. */
export type Reason =
	| { readonly code: 'singleUse' }
	| { readonly code: 'softRenewed' }
	| { readonly code: 'patternOut'; readonly pattern: PatternKey; readonly severity: Severity; readonly onset: Onset }
	| { readonly code: 'cleanFirst'; readonly pattern: PatternKey }
	| { readonly code: 'remark'; readonly pattern: PatternKey; readonly severity: Severity; readonly onset: Onset }
	| {
			readonly code: 'longerThanNew';
			readonly characteristic: string;
			readonly value: number;
			readonly nominal: number;
			readonly U: number;
	  }
	| {
			readonly code: 'beyondLimit' | 'tooClose' | 'insideLimit';
			readonly characteristic: string;
			readonly value: number;
			readonly U: number;
			readonly limit: number;
			readonly probability: number;
	  }
	| {
			readonly code: 'wearsOut' | 'lasts';
			readonly characteristic: string;
			readonly worn: number;
			readonly allowance: number;
			readonly probability: number;
			readonly hours: number;
			readonly interval: number;
	  }
	| { readonly code: 'unmeasured'; readonly characteristic: string; readonly placesLeft: number }
	| { readonly code: 'nothingFound' }
	| { readonly code: 'notLooked' };

export type ReasonCode = Reason['code'];

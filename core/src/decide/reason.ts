import type { FigureKey, PatternKey, Severity } from '../part';
import type { Unit } from '../quantity';
import type { Onset } from '../record';
import type { CustomKind } from './policy';
import type { Slip } from './slips';

/** Why a verdict: data, worst first. The interface makes sentences of them. Sizes in base units, probabilities 0–1. */
export type Reason =
	| { readonly code: 'singleUse' }
	| { readonly code: 'softRenewed' }
	/** The sheet advises a new one, and says why: keeping the old one needs a reason. */
	| { readonly code: 'newAdvised'; readonly why: string }
	/** The shop's own custom renews these always, or inspects what the sheet would renew. */
	| { readonly code: 'customRenewed' | 'customInspected'; readonly kind: CustomKind }
	/** Renewed because another part of its set is. */
	| { readonly code: 'withItsSet'; readonly set: string; readonly station: string; readonly cylinder: number }
	| {
			readonly code: 'figureBeyond' | 'figureTooClose';
			readonly figure: FigureKey;
			readonly value: number;
			readonly limit: number;
			readonly unit: Unit;
			readonly U?: number;
	  }
	/** Measured sizes fit another part of the sheet better, or none of them. */
	| { readonly code: 'mixedUp'; readonly likeliest: string; readonly probability: number }
	| { readonly code: 'noneOfThem'; readonly fits: number }
	| { readonly code: 'cannotTell'; readonly likeliest: string; readonly probability: number }
	| { readonly code: 'mateUnmeasured' | 'mateReplaced'; readonly mate: string }
	| {
			readonly code: 'likelyToFail' | 'otherRisk';
			readonly probability: number;
			readonly low: number;
			readonly high: number;
			readonly interval: number;
			readonly events: number;
			readonly lives: number;
			/** Of the prior, in lives. */
			readonly priorWeight: number;
	  }
	/** It wears faster than its kind in this pump: a finding for the tracing. */
	| {
			readonly code: 'wearsFast';
			readonly characteristic: string;
			readonly ratio: number;
			readonly probability: number;
	  }
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
			/** The limit is that of like parts and is not confirmed for this pump. */
			readonly assumed?: true;
			readonly probability: number;
	  }
	| {
			readonly code: 'wearsOut' | 'lasts';
			readonly characteristic: string;
			readonly worn: number;
			readonly allowance: number;
			readonly probability: number;
			/** Left out: no one knows. */
			readonly hours?: number;
			readonly interval: number;
			/** As above. */
			readonly assumed?: true;
	  }
	| { readonly code: 'questioned'; readonly slip: Slip }
	| { readonly code: 'confirmed'; readonly characteristic: string; readonly value: number; readonly why: string }
	| { readonly code: 'unmeasured'; readonly characteristic: string; readonly pointsLeft: number }
	| { readonly code: 'nothingFound' }
	| { readonly code: 'notThere' }
	| { readonly code: 'inPieces'; readonly lost: boolean }
	| { readonly code: 'foundDoubled' }
	| { readonly code: 'foundTurned' }
	| { readonly code: 'foundInLine' }
	| { readonly code: 'notLooked' }
	/** What stands on record of it cannot be worked with: which of it, and what was expected. It can be decided by hand. */
	| { readonly code: 'notJudged'; readonly what: string; readonly value: string; readonly expected: string };

export type ReasonCode = Reason['code'];

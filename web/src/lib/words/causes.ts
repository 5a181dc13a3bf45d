import type { CauseNetwork, NetworkFault, WhereToLook } from '@exetasis/core/trace';
import type { CaseState } from '@exetasis/server/trace/cases';
import { placeName } from './place';

export const causeName = ({ causes }: CauseNetwork, key: string): string =>
	causes.find((cause) => cause.key === key)?.name ?? key;

export const findingName = ({ findings }: CauseNetwork, key: string): string =>
	findings.find((finding) => finding.key === key)?.name ?? key;

/** A cause with where it works: "Worn mate kept, cylinder 2". */
export const causeAtPlace = (network: CauseNetwork, { cause, cylinder }: { cause: string; cylinder: number }): string =>
	placeName(causeName(network, cause), cylinder);

export const findingAtPlace = (
	network: CauseNetwork,
	{ finding, cylinder }: { finding: string; cylinder: number }
): string => placeName(findingName(network, finding), cylinder);

/** The address at which a place of a job is looked at, its size in hand where one is asked for. */
export const inspectAddress = (job: string, { place, size }: WhereToLook): string =>
	`/jobs/${job}/inspect?${new URLSearchParams({ place, ...(size === undefined ? {} : { size }) })}`;

/** How a case stands. */
export const caseState = {
	open: 'open, no action yet',
	acted: 'action taken, under observation',
	confirmed: 'confirmed',
	refuted: 'refuted',
	notTold: 'closed, not decided'
} as const satisfies Record<CaseState, string>;

/** What is wrong with a network that someone wrote, as a sentence that says what to do. */
export function faultSentence(fault: NetworkFault): string {
	switch (fault.code) {
		case 'shape':
			return `${fault.path.join('.') || 'The text'}: ${fault.says}. A probability is above 0 and below 1.`;
		case 'twice':
			return `“${fault.key}” is used twice. Give each finding and cause a different key.`;
		case 'unknownFinding':
			return `${fault.at} names the finding “${fault.key}”, which is not in the list. Add it, or correct its key.`;
		case 'linkedTwice':
			return `${fault.at} is linked with “${fault.key}” twice. Remove one of the two.`;
		case 'withoutCause':
			return `“${fault.key}” has no cause. Link it with a cause or remove it.`;
		case 'cycle':
			return `These links form a circle: ${fault.keys.join(' → ')}. Remove one of them.`;
	}
}

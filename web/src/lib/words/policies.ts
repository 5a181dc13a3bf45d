import type { Policy, RenewalPolicy } from '@exetasis/core/decide';

export const renewalPolicyName: Readonly<Record<RenewalPolicy, string>> = {
	renewSoft: 'Renew soft parts',
	onCondition: 'On condition',
	leastCost: 'Lowest expected cost'
};

export const valvesName: Readonly<Record<Policy['valves'], string>> = {
	singly: 'separately',
	cylinder: 'by cylinder',
	set: 'as a set'
};

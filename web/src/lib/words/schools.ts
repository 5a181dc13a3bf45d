import type { School } from '@exetasis/core/decide';

export const schoolName: Readonly<Record<School, string>> = {
	renewSoft: 'Renew soft parts',
	onCondition: 'On condition',
	leastCost: 'Least expected cost'
};

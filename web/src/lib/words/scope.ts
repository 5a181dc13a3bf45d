import type { Scope } from '@exetasis/core/record';

export const scopeName: Readonly<Record<Scope, string>> = {
	packing: 'Packings',
	plunger: 'Packings and plungers',
	valves: 'Valves',
	full: 'All of it'
};

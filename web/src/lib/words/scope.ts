import type { Scope } from '@exetasis/core/record';

export const scopeName: Readonly<Record<Scope, string>> = {
	packing: 'Packing job',
	plunger: 'Packing and plunger job',
	valves: 'Valve job',
	full: 'Full rebuild'
};

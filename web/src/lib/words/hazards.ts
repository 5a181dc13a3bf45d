import type { Caution } from '@exetasis/core/record';

/** What can hurt, in a word or two. */
export const hazardName: Readonly<Record<Caution['hazard'], string>> = {
	pressure: 'Stored pressure',
	heat: 'Heat',
	weight: 'Weight',
	spring: 'Spring under load',
	pinch: 'Pinch point',
	chemical: 'Chemicals',
	damage: 'Risk of damage',
	electric: 'Lock out'
};

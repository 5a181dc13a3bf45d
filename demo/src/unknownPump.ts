import type { LaidDown, NamePlate } from '@exetasis/core/draft';

/** A pump of a model that the shop has no sheet of: its sheet grows while it is stripped. */
export const unknownPump: {
	readonly plate: NamePlate;
	readonly first: LaidDown;
	readonly serial: string;
	readonly tag: string;
	readonly site: string;
	readonly complaint: string;
	readonly meterHours: number;
	readonly receivedHoursAgo: number;
} = {
	plate: {
		model: 'Yarrow',
		maker: 'not stated',
		cylinders: 3,
		strokeMm: 18,
		ratedPressureMPa: 12,
		ratedSpeedRpm: 1450
	},
	first: { type: 'fastener', name: 'Manifold bolt', pieces: 8 },
	serial: 'YAR-0003',
	tag: 'Dust wash 2',
	site: 'Quarry Greyback',
	complaint: 'Leaks water at one plunger',
	meterHours: 2150,
	receivedHoursAgo: 5
};

import { extrusion } from '../figures/packing';
import type { PartType } from '../partType';

/** Backup ring: frayed and nibbled edges tell of a gap or of pressure spikes. */
export const backupRing: PartType = {
	key: 'backupRing',
	name: 'Backup ring',
	material: 'plastic',
	lasts: { hoursToLimit: 6_000, competingFailures: { scaleHours: 50_000, shape: 1.2 }, stopShare: 0.3 },
	soft: true,
	renewal: 'ring',
	patterns: [
		{ pattern: 'cut', outFrom: 1 },
		{ pattern: 'nibbled', outFrom: 2 },
		{ pattern: 'frayed', outFrom: 2 },
		{ pattern: 'crushed', outFrom: 2 },
		{ pattern: 'extrudedHeel', outFrom: 2 },
		{ pattern: 'lostShape', outFrom: 2 },
		{ pattern: 'reversed' }
	],
	characteristics: [
		{ key: 'thickness', name: 'Thickness', unit: 'mm', wears: 'down', instrument: 'caliper' },
		{ key: 'heel', name: 'Extruded lip', unit: 'mm', wears: 'up', instrument: 'caliper' }
	],
	design: [{ key: 'clearanceGap', name: 'Clearance gap behind it', unit: 'mm' }],
	figures: extrusion
};

import type { Figure, FigureKey } from '@exetasis/core/part';

const names: Readonly<Record<FigureKey, string>> = {
	compressionSet: 'Compression set',
	squeeze: 'Remaining squeeze in the gland',
	glandFill: 'Gland fill',
	stretch: 'Stretch on the groove',
	swellByMass: 'Swell by mass',
	swell: 'Swell by section',
	hardening: 'Hardness change',
	interference: 'Interference with the mating part',
	stackLeft: 'Remaining gland adjustment',
	extrusion: 'Extruded lip ÷ clearance gap',
	clearance: 'Clearance around the plunger',
	gapLeak: 'Flow through the gap without packing, plunger eccentric',
	permanentStretch: 'Permanent stretch',
	shimPack: 'Shims to add',
	lengthLoss: 'Free length lost',
	loadLoss: 'Load lost at the working length',
	testedRate: 'Spring rate from load test',
	rate: 'Spring rate from geometry',
	travelToSolid: 'Travel to coil bind from working length',
	stress: 'Shear stress at the working length',
	lappingReserve: 'Height left after lapping',
	grooveLeak: 'Leakage through the groove at rated pressure',
	holdTestLeak: 'Leakage from hold test',
	lostVolume: 'Metal lost from the edge',
	ringSize: 'Nearest standard size'
};

/** A figure's name; that of a ring's size names the size. */
export function figureName({ key, nearest }: Pick<Figure, 'nearest'> & { readonly key: FigureKey }): string {
	if (!nearest) return names[key];
	const { dash, insideDiameter, section } = nearest;
	return `Nearest standard size: dash ${dash}, ${insideDiameter.toFixed(2)} × ${section.toFixed(2)} mm; deviation`;
}

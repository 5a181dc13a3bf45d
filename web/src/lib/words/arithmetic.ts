import { partType, type Figure, type FigureInput, type FigureKey } from '@exetasis/core/part';
import type { Step, StepInput, StepKey } from '@exetasis/core/decide';
import type { Station } from '@exetasis/core/record';

/** What each figure is called, and the equation behind it with its source. */
const figures: Readonly<Record<FigureKey, { readonly name: string; readonly method: string }>> = {
	compressionSet: {
		name: 'Compression set',
		method: '(t₀ − t₁)/(t₀ − t_g) (ISO 815-1)'
	},
	squeeze: {
		name: 'Remaining squeeze in the gland',
		method: '(t − t_g)/t (ISO 3601-2)'
	},
	glandFill: {
		name: 'Gland fill',
		method: '(π/4)·t²/(depth·width) (ISO 3601-2)'
	},
	stretch: {
		name: 'Stretch on the groove',
		method: '(groove − inside diameter)/inside diameter (ISO 3601-2)'
	},
	swellByMass: {
		name: 'Swell by mass',
		method: 'm/m₀ − 1 (ISO 1817)'
	},
	swell: {
		name: 'Swell by section',
		method: '(t/t₀)² − 1 (after ISO 1817)'
	},
	hardening: {
		name: 'Hardness change',
		method: 'Now − as new (ISO 48-4); negative means softer'
	},
	interference: {
		name: 'Interference with the mating part',
		method: 'Difference of both sizes as measured in this rebuild; JCGM 100, 5.1.2'
	},
	stackLeft: {
		name: 'Remaining gland adjustment',
		method: 'Stack height − stack height at the end of adjustment'
	},
	extrusion: {
		name: 'Extruded lip ÷ clearance gap',
		method:
			'Width of the lip ÷ clearance gap; above 1, the gap has opened or the pressure exceeded its rating (ISO 3601-2)'
	},
	clearance: {
		name: 'Clearance around the plunger',
		method: 'Difference of both sizes as measured in this rebuild; JCGM 100, 5.1.2'
	},
	gapLeak: {
		name: 'Flow through the gap without packing, plunger eccentric',
		method:
			'Q = π·D·c³·Δp·(1 + 1.5·ε²)/(12·μ·L), ε = 1; not laminar above a Reynolds number of 1000, so this is an upper bound'
	},
	permanentStretch: {
		name: 'Permanent stretch',
		method: 'Arc of a spherical cap against its chord'
	},
	shimPack: {
		name: 'Shims to add',
		method: '(end gap + press)/shim, rounded up'
	},
	lengthLoss: {
		name: 'Free length lost',
		method: '(as new − now)/as new; negative means stretched'
	},
	loadLoss: {
		name: 'Load lost at the working length',
		method: '(as new − now)/as new, both at the working length'
	},
	testedRate: {
		name: 'Spring rate from load test',
		method: '(F₂ − F₁)/(L₁ − L₂)'
	},
	rate: {
		name: 'Spring rate from geometry',
		method: 'k = G·d⁴/(8·D³·n), two dead coils (EN 13906-1)'
	},
	travelToSolid: {
		name: 'Travel to coil bind from working length',
		method: 'Working length − (active coils + 2)·d (EN 13906-1)'
	},
	stress: {
		name: 'Shear stress at the working length',
		method: 'τ = K·8·F·D/(π·d³) with Wahl’s K (EN 13906-1)'
	},
	lappingReserve: {
		name: 'Height left after lapping',
		method: 'Height − deepest mark − finishing cut − minimum height'
	},
	grooveLeak: {
		name: 'Leakage through the groove at rated pressure',
		method: 'Half an ellipse as a sharp-edged orifice, Q = 0.61·A·√(2Δp/ρ), water (ISO 5167-2)'
	},
	holdTestLeak: {
		name: 'Leakage from hold test',
		method: 'Q = V·Δp/(K·t), from dp/dt = −K·Q/V; air in the water makes the result too low'
	},
	lostVolume: {
		name: 'Metal lost from the edge',
		method: 'r²·(1 − π/4)·π·D for a square edge'
	},
	ringSize: {
		name: 'Nearest standard size',
		method: 'In tolerances of ISO 3601-1, with 20 % set allowed; above 2, not a standard size (AS568)'
	}
};

const figureInputs: Readonly<Record<FigureInput, string>> = {
	massNow: 'Mass now',
	massAsNew: 'Mass as new',
	now: 'Now',
	asNew: 'As new',
	asFound: 'As found',
	glandDepth: 'Gland depth',
	sectionNow: 'Section now',
	glandWidth: 'Gland width',
	insideDiameterNow: 'Inside diameter now',
	grooveDiameter: 'Groove diameter',
	sectionAsNew: 'Section as new',
	mateDiameter: 'diameter now',
	mateBore: 'bore now',
	lipInsideDiameterNow: 'Lip inside diameter now',
	lipOutsideDiameterNow: 'Lip outside diameter now',
	stackHeightNow: 'Stack height now',
	noFollowLeftAt: 'Stack height at the end of adjustment',
	extrudedLipNow: 'Extruded lip now',
	clearanceGap: 'Clearance gap',
	boreNow: 'Bore now',
	diameterNow: 'Diameter now',
	lengthOfTheGap: 'Gap length',
	ratedPressure: 'Rated pressure',
	viscosity: 'Viscosity, mPa·s',
	reynoldsNumber: 'Reynolds number',
	sagAtRest: 'Sag at rest',
	freeDiameter: 'Free diameter',
	endGap: 'End gap',
	pressWanted: 'Required press',
	oneShim: 'Shim thickness',
	loadAtWorkingLength: 'Load at working length',
	loadAtTheShorterLength: 'Load at shorter length',
	workingLength: 'Working length',
	shorterLength: 'Shorter length',
	wire: 'Wire',
	meanCoilDiameter: 'Mean coil diameter',
	activeCoils: 'Active coils',
	shearModulus: 'Shear modulus',
	solidLength: 'Solid length',
	loadNow: 'Load now',
	heightNow: 'Height now',
	deepestMark: 'Deepest mark',
	finishingCut: 'Finishing cut',
	leastHeight: 'Minimum height',
	grooveWidth: 'Groove width',
	grooveDepth: 'Groove depth',
	fallInAMinute: 'Pressure drop per minute',
	trappedVolume: 'Trapped volume',
	bulkModulus: 'Bulk modulus',
	edgeRadiusNow: 'Edge radius now',
	diameterOfTheEdge: 'Edge diameter'
};

/** A figure's name; that of a ring's size names the size. */
export function figureName({ key, nearest }: Pick<Figure, 'nearest'> & { readonly key: FigureKey }): string {
	if (!nearest) return figures[key].name;
	const { dash, insideDiameter, section } = nearest;
	return `Nearest standard size: dash ${dash}, ${insideDiameter.toFixed(2)} × ${section.toFixed(2)} mm; deviation`;
}

type SizeStep = Exclude<StepKey, FigureKey>;

const WEIBULL =
	'P(T ≤ t + H | T > t) of Weibull distributions, averaged over scale and shape given prior and history; lives ended by measured wear are right-censored, failures found at a strip-down are interval-censored (Meeker & Escobar 1998)';
const GAMMA =
	'Gamma process, averaged over rate, scatter, curvature of wear, the pump’s factor, measurement uncertainty and unknown age (van Noortwijk 2009; Lawless & Crowder 2004)';
const BUDGET = 'k at the degrees of freedom for 95 % (JCGM 100, Welch–Satterthwaite)';

const steps: Readonly<Record<SizeStep, { readonly name: (size: string) => string; readonly method: string }>> = {
	meanOfWorstPlace: { name: (size) => size, method: 'Mean of the readings of the worst place, at 20 °C (ISO 1)' },
	narrowestZone: {
		name: (size) => size,
		method: 'Narrowest zone between two parallel planes that contains all heights, by linear programming (ISO 12781)'
	},
	largestRange: { name: (size) => size, method: 'Largest range of the readings around one section' },
	howSure: { name: (size) => `${size}: expanded uncertainty`, method: `k·√Σu²; ${BUDGET}` },
	howSureOfForm: {
		name: (size) => `${size}: expanded uncertainty`,
		method: `k·√Σu², each u × √2 for a difference; ${BUDGET}`
	},
	beyondNow: {
		name: (size) => `${size}: chance of being beyond the limit now`,
		method: 'Student’s t around the value (JCGM 106, 7 and 8.3)'
	},
	wornSoFar: { name: (size) => `${size}: wear so far`, method: 'Distance from the starting size towards the limit' },
	beyondAtService: { name: (size) => `${size}: chance of passing the limit by the next service`, method: GAMMA },
	pace: {
		name: (size) => `${size}: chance of wearing at least twice as fast as similar parts in this pump`,
		method: 'Share of the posterior of its rate above twice the median of similar parts in this pump'
	},
	competingFailure: { name: () => 'Chance of failing some other way by the next service', method: WEIBULL }
};

const stepInputs: Readonly<Record<Exclude<StepInput, FigureInput>, string>> = {
	reading: 'Reading',
	repeatability: 'u, repeatability',
	resolution: 'u, resolution',
	calibration: 'u, calibration',
	temperature: 'u, temperature',
	reproducibility: 'u, reproducibility',
	degreesOfFreedom: 'Degrees of freedom',
	coverageFactor: 'Coverage factor k',
	value: 'Value',
	standardUncertainty: 'Standard uncertainty',
	limitOfMaker: 'Limit (maker)',
	limitOfShop: 'Limit (shop)',
	limitAssumed: 'Limit (assumed)',
	acceptBad: 'Accepted risk of reusing a bad part',
	scrapGood: 'Accepted risk of replacing a good part',
	startNominal: 'Start: nominal',
	startAsFitted: 'Start: as fitted',
	wearAllowed: 'Wear allowed',
	wearSoFar: 'Wear so far',
	hoursOnPart: 'Hours on the part',
	hoursToService: 'Hours to the next service',
	wearIn1000h: 'Wear per 1000 h, from its inspections and similar parts',
	sheetPriorWorth: 'Prior weight of the sheet (lives)',
	ownPriorWorth: 'Prior weight of the part type (lives)',
	recordWorth: 'Weight of the history (lives)',
	partsOnRecord: 'Parts in the history',
	pumpsHardness: 'Wear factor of its pump (1 = average)',
	rateAgainstKind: 'Its rate ÷ rate of similar parts, mean',
	competingFailuresOnRecord: 'Other failures in the history',
	livesOnRecord: 'Lives in the history',
	priorShape: 'Prior: Weibull shape',
	priorScale: 'Prior: Weibull scale',
	priorWorth: 'Prior weight (lives)'
};

const isSizeStep = (key: StepKey): key is SizeStep => key in steps;

/** The name of a step of the arithmetic, on a part of this type. */
export function stepName({ key, characteristic, nearest }: Step, type: Station['type']): string {
	if (!isSizeStep(key)) return figureName({ key, nearest });
	const size = partType(type).characteristics.find((one) => one.key === characteristic);
	return steps[key].name(size?.name ?? '');
}

/** The equation or rule of a step, and its source. */
export const stepMethod = ({ key }: Step): string => (isSizeStep(key) ? steps[key] : figures[key]).method;

/** The name of a number that went into a step; readings are numbered. */
export function inputName({ key, of }: Step['inputs'][number], index: number): string {
	if (key === 'reading') return `${stepInputs.reading} ${index + 1}`;
	const name = { ...figureInputs, ...stepInputs }[key];
	return of === undefined ? name : `${of}, ${name}`;
}

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
		name: 'Squeeze left in the gland',
		method: '(t − t_g)/t (ISO 3601-2)'
	},
	glandFill: {
		name: 'Gland filled',
		method: '(π/4)·t²/(depth·width) (ISO 3601-2)'
	},
	stretch: {
		name: 'Stretch on its groove',
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
		name: 'Hardness gained',
		method: 'Now − as new (ISO 48-4); below 0 it has softened'
	},
	interference: {
		name: 'Interference with its mate',
		method: 'Difference of both sizes as measured in this rebuild; JCGM 100, 5.1.2'
	},
	stackLeft: {
		name: 'Stack height left for the gland to follow',
		method: 'Stack height − height at the end of the gland’s follow'
	},
	extrusion: {
		name: 'Extruded lip, in widths of its clearance gap',
		method:
			'Width of the lip ÷ clearance gap; above 1 the gap has opened or the pressure was above its rating (ISO 3601-2)'
	},
	clearance: {
		name: 'Clearance round the plunger',
		method: 'Difference of both sizes as measured in this rebuild; JCGM 100, 5.1.2'
	},
	gapLeak: {
		name: 'Would pass this gap if the packing were gone, plunger lying on one side',
		method:
			'Q = π·D·c³·Δp·(1 + 1.5·ε²)/(12·μ·L), ε = 1; above a Reynolds number of 1000 not laminar any more, so this is an upper bound'
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
		method: '(as new − now)/as new; below 0 it has been stretched'
	},
	loadLoss: {
		name: 'Load lost at the working length',
		method: '(as new − now)/as new, both at the working length'
	},
	testedRate: {
		name: 'Rate by the load test',
		method: '(F₂ − F₁)/(L₁ − L₂)'
	},
	rate: {
		name: 'Spring rate from geometry',
		method: 'k = G·d⁴/(8·D³·n), two dead coils (EN 13906-1)'
	},
	travelToSolid: {
		name: 'Travel to coil bind, at the working length',
		method: 'Working length − (active coils + 2)·d (EN 13906-1)'
	},
	stress: {
		name: 'Shear stress at the working length',
		method: 'τ = K·8·F·D/(π·d³) with Wahl’s K (EN 13906-1)'
	},
	lappingReserve: {
		name: 'Height to spare after lapping it clean',
		method: 'Height − deepest mark − finishing cut − least height'
	},
	grooveLeak: {
		name: 'Leaks back through the groove at rated pressure',
		method: 'Half an ellipse as a sharp-edged orifice, Q = 0.61·A·√(2Δp/ρ), water (ISO 5167-2)'
	},
	holdTestLeak: {
		name: 'Leak by the hold test',
		method: 'Q = V·Δp/(K·t), from dp/dt = −K·Q/V; air in the water makes it seem less'
	},
	lostVolume: {
		name: 'Metal lost from the edge',
		method: 'r²·(1 − π/4)·π·D for a square edge'
	},
	ringSize: {
		name: 'Nearest size of the series',
		method: 'In tolerances of ISO 3601-1, a fifth of set allowed for; above 2 it is not of the series (AS568)'
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
	noFollowLeftAt: 'No follow left at',
	extrudedLipNow: 'Extruded lip now',
	clearanceGap: 'Clearance gap',
	boreNow: 'Bore now',
	diameterNow: 'Diameter now',
	lengthOfTheGap: 'Length of the gap',
	ratedPressure: 'Rated pressure',
	viscosity: 'Viscosity, mPa·s',
	reynoldsNumber: 'Reynolds number',
	sagAtRest: 'Sag at rest',
	freeDiameter: 'Free diameter',
	endGap: 'End gap',
	pressWanted: 'Press wanted',
	oneShim: 'One shim',
	loadAtWorkingLength: 'Load at working length',
	loadAtTheShorterLength: 'Load at the shorter length',
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
	leastHeight: 'Least height',
	grooveWidth: 'Groove width',
	grooveDepth: 'Groove depth',
	fallInAMinute: 'Fall in a minute',
	trappedVolume: 'Trapped volume',
	bulkModulus: 'Bulk modulus',
	edgeRadiusNow: 'Edge radius now',
	diameterOfTheEdge: 'Diameter of the edge'
};

/** A figure's name; that of a ring's size names the size. */
export function figureName({ key, nearest }: Pick<Figure, 'nearest'> & { readonly key: FigureKey }): string {
	if (!nearest) return figures[key].name;
	const { dash, insideDiameter, section } = nearest;
	return `Nearest size of the series: dash ${dash}, ${insideDiameter.toFixed(2)} × ${section.toFixed(2)} mm; off by`;
}

type SizeStep = Exclude<StepKey, FigureKey>;

const WEIBULL =
	'P(T ≤ t + H | T > t) of Weibull distributions, over scale and shape as prior and record leave them; lives ended by measured wear are censored, finds at a strip-down lie between two looks (Meeker & Escobar 1998)';
const GAMMA =
	'Gamma process; the part’s rate, the scatter between and within parts, how wear bends, its pump, what the readings leave open and an unknown age are all integrated over (van Noortwijk 2009; Lawless & Crowder 2004)';
const BUDGET = 'k at the degrees of freedom for 95 % (JCGM 100, Welch–Satterthwaite)';

const steps: Readonly<Record<SizeStep, { readonly name: (size: string) => string; readonly method: string }>> = {
	meanOfWorstPlace: { name: (size) => size, method: 'Mean of the readings of the worst place, at 20 °C (ISO 1)' },
	narrowestZone: {
		name: (size) => size,
		method: 'Narrowest zone between two planes that holds all heights, by linear programming (ISO 12781)'
	},
	largestRange: { name: (size) => size, method: 'Largest range of the readings round one station' },
	howSure: { name: (size) => `${size}: how sure`, method: `k·√Σu²; ${BUDGET}` },
	howSureOfForm: { name: (size) => `${size}: how sure`, method: `k·√Σu², each √2-fold for a difference; ${BUDGET}` },
	beyondNow: {
		name: (size) => `${size}: chance of lying beyond the limit now`,
		method: 'Student’s t about the value (JCGM 106, 7 and 8.3)'
	},
	wornSoFar: { name: (size) => `${size}: wear so far`, method: 'Distance from the start towards the limit' },
	beyondAtService: { name: (size) => `${size}: chance of passing the limit by the next service`, method: GAMMA },
	pace: {
		name: (size) => `${size}: chance that it wears at least twice as fast as its kind in this pump`,
		method: 'Share of the posterior of its rate, against the middle of its kind’s in this pump'
	},
	otherEnd: { name: () => 'Chance that something else ends it by the next service', method: WEIBULL }
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
	limitOfMaker: 'Limit, from the maker',
	limitOfShop: 'Limit, from the shop',
	acceptBad: 'Accepted risk of keeping a bad part',
	scrapGood: 'Accepted risk of scrapping a good one',
	startNominal: 'Start: nominal',
	startAsFitted: 'Start: as fitted',
	wearAllowed: 'Wear allowed',
	wearSoFar: 'Wear so far',
	hoursOnPart: 'Hours on the part',
	hoursToService: 'Hours to the next service',
	wearIn1000h: 'Wear in 1000 h, as its looks and its kind make it',
	sheetPriorWorth: 'The sheet’s prior is worth lives',
	ownPriorWorth: 'The part type’s own prior is worth lives',
	recordWorth: 'The record is worth lives',
	partsOnRecord: 'Parts on record',
	pumpsHardness: 'How hard its pump is on its parts, against the ordinary',
	rateAgainstKind: 'Its rate against its kind’s, mean',
	otherEndsOnRecord: 'Ends on record, not by measured wear',
	livesOnRecord: 'Lives on record',
	priorShape: 'Prior: Weibull shape',
	priorScale: 'Prior: Weibull scale',
	priorWorth: 'The prior is worth lives'
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

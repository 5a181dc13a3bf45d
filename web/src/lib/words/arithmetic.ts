import { partType, type FigureInput, type FigureKey } from '@exetasis/core/part';
import type { Step, StepInput, StepKey } from '@exetasis/core/decide';
import type { Station } from '@exetasis/core/record';
import { figureName } from './figures';

/** The equation behind each figure, with its source. */
const figureMethods: Readonly<Record<FigureKey, string>> = {
	compressionSet: '(t₀ − t₁)/(t₀ − t_g) (ISO 815-1)',
	squeeze: '(t − t_g)/t (ISO 3601-2)',
	glandFill: '(π/4)·t²/(depth·width) (ISO 3601-2)',
	stretch: '(groove − inside diameter)/inside diameter (ISO 3601-2)',
	swellByMass: 'm/m₀ − 1 (ISO 1817)',
	swell: '(t/t₀)² − 1 (after ISO 1817)',
	hardening: 'Now − as new (ISO 48-4); negative means softer',
	interference: 'Difference of both sizes as measured in this rebuild; JCGM 100, 5.1.2',
	stackLeft: 'Stack height − stack height at the end of adjustment',
	extrusion:
		'Width of the lip ÷ clearance gap; above 1, the gap has opened or the pressure exceeded its rating (ISO 3601-2)',
	clearance: 'Difference of both sizes as measured in this rebuild; JCGM 100, 5.1.2',
	gapLeak:
		'Q = π·D·c³·Δp·(1 + 1.5·ε²)/(12·μ·L), ε = 1; not laminar above a Reynolds number of 1000, so this is an upper bound',
	permanentStretch: 'Arc of a spherical cap against its chord',
	shimPack: '(end gap + press)/shim, rounded up',
	lengthLoss: '(as new − now)/as new; negative means stretched',
	loadLoss: '(as new − now)/as new, both at the working length',
	testedRate: '(F₂ − F₁)/(L₁ − L₂)',
	rate: 'k = G·d⁴/(8·D³·n), two dead coils (EN 13906-1)',
	travelToSolid: 'Working length − (active coils + 2)·d (EN 13906-1)',
	stress: 'τ = K·8·F·D/(π·d³) with Wahl’s K (EN 13906-1)',
	lappingReserve: 'Height − deepest mark − finishing cut − minimum height',
	grooveLeak: 'Half an ellipse as a sharp-edged orifice, Q = 0.61·A·√(2Δp/ρ), water (ISO 5167-2)',
	holdTestLeak: 'Q = V·Δp/(K·t), from dp/dt = −K·Q/V; air in the water makes the result too low',
	lostVolume: 'r²·(1 − π/4)·π·D for a square edge',
	ringSize: 'In tolerances of ISO 3601-1, with 20 % set allowed; above 2, not a standard size (AS568)'
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

type SizeStep = Exclude<StepKey, FigureKey>;

const WEIBULL =
	'P(T ≤ t + H | T > t) of Weibull distributions, averaged over scale and shape given prior and history; lives ended by measured wear are right-censored, failures found at a strip-down are interval-censored (Meeker & Escobar 1998)';
const GAMMA =
	'Gamma process, averaged over rate, scatter, curvature of wear, the pump’s factor, measurement uncertainty and unknown age (van Noortwijk 2009; Lawless & Crowder 2004)';
const BUDGET = 'k at the degrees of freedom for 95 % (JCGM 100, Welch–Satterthwaite)';

const steps: Readonly<Record<SizeStep, { readonly name: (size: string) => string; readonly method: string }>> = {
	meanOfWorstPoint: { name: (size) => size, method: 'Mean of the readings of the worst point, at 20 °C (ISO 1)' },
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
	sheetPriorWeight: 'Prior weight of the sheet (lives)',
	ownPriorWeight: 'Prior weight of the part type (lives)',
	recordWeight: 'Weight of the history (lives)',
	partsOnRecord: 'Parts in the history',
	pumpsHardness: 'Wear factor of its pump (1 = average)',
	rateAgainstKind: 'Its rate ÷ rate of similar parts, mean',
	competingFailuresOnRecord: 'Other failures in the history',
	livesOnRecord: 'Lives in the history',
	priorShape: 'Prior: Weibull shape',
	priorScale: 'Prior: Weibull scale',
	priorWeight: 'Prior weight (lives)'
};

const isSizeStep = (key: StepKey): key is SizeStep => key in steps;

/** The name of a step of the arithmetic, on a part of this type. */
export function stepName({ key, characteristic, nearest }: Step, type: Station['type']): string {
	if (!isSizeStep(key)) return figureName({ key, nearest });
	const size = partType(type).characteristics.find((candidate) => candidate.key === characteristic);
	return steps[key].name(size?.name ?? '');
}

/** The equation or rule of a step, and its source. */
export const stepMethod = ({ key }: Step): string => (isSizeStep(key) ? steps[key].method : figureMethods[key]);

/** The name of a number that went into a step; readings are numbered. */
export function inputName({ key, of }: Step['inputs'][number], index: number): string {
	if (key === 'reading') return `${stepInputs.reading} ${index + 1}`;
	const name = { ...figureInputs, ...stepInputs }[key];
	return of === undefined ? name : `${of}, ${name}`;
}

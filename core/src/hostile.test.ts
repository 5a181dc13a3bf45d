// Every function that the core offers, walked with numbers that cannot be: a right, finite answer or a typed error.
import { describe, expect, it } from 'vitest';
import * as build from './build';
import * as decide from './decide';
import * as draft from './draft';
import { demoSheet, fineGauge, inputFor, ran, read, recordOf, stationOn } from './decide/testing';
import * as life from './life';
import * as mat from './mat';
import * as measure from './measure';
import * as mechanics from './mechanics';
import * as number from './number';
import * as order from './order';
import * as part from './part';
import * as prove from './prove';
import * as quantity from './quantity';
import * as record from './record';
import * as survival from './survival';
import * as trace from './trace';

const packages = {
	draft,
	survival,
	build,
	number,
	measure,
	mechanics,
	quantity,
	part,
	record,
	life,
	decide,
	mat,
	order,
	prove,
	trace
};
const hostile = [NaN, Infinity, -Infinity, -1, 0, 1e-300, 1e300, 1e17, 0.5];

const sheet = demoSheet('marram');
const station = stationOn(sheet, 'plunger');
const size = station.characteristics[0];
const readings = [0, 1, 2].map((place) => read('diameter', 17.98, place));
const plunger = recordOf(...readings);
const gauge = fineGauge.facts;
const risks = { acceptBad: 0.05, scrapGood: 0.05 };
const budget = measure.budgetOf({ readings: [1, 2], gauge });
const measured = decide.measureCharacteristic('plunger', size, plunger.readings, [fineGauge]);
const facts = {
	...ran(station, 2000),
	earlier: [{ characteristic: 'diameter', hoursAgo: 1000, value: 17.99, u: 0.002 }]
};
const judgement = decide.judge(inputFor(sheet, 'plunger', plunger, { life: facts }));
const prior = life.wearPriorOf('plunger', size)!;
const history = { before: [{ hours: 0, weight: 1 }], inspections: [{ hours: 1000, worn: 0.4, u: 0.02 }] };
const grid = { rates: Float64Array.of(0.1, 0.2, 0.4), size: 3, middle: 1, step: 0.7 };
const ends = life.lifePriorOf(station);
const jobs = [1000, 2500].map((pumpHours) => ({ pump: 'p', pumpHours, duty: { pressureMPa: 9, speedRpm: 900 } }));
const onRecord = {
	part: 'a',
	pump: 'p',
	characteristic: 'diameter',
	pumpHours: 2500,
	readings: readings.map(({ payload }) => payload as never)
};
const fittedAt = {
	part: 'a',
	pump: 'p',
	station: 'plunger',
	fittedHours: 0,
	firstSeenHours: 0,
	removedHours: 2500,
	endReason: 'worn' as const,
	inspectedHours: [1000],
	asFitted: {}
};
const cell = {
	part: 'a',
	station: 'plunger',
	cylinder: 1,
	hours: 2000,
	asFitted: { diameter: 18 },
	kept: 1,
	earlierLives: 0,
	...facts
};
const onMat = {
	sheet,
	cells: [cell],
	gauges: [fineGauge],
	policy: decide.defaultPolicy,
	fleet: { wear: {}, ends: {}, settled: true, pump: facts.pump, wearFactor: 1 }
};
const setPart = { id: 'a', pReuse: 0.2, pNew: 0.1, price: 10, collateral: 5 };
const placed = { station, cylinder: 1, record: plunger, judgement };
const whole = {
	parts: [{ id: 'a', cylinder: 1, input: inputFor(sheet, 'plunger', plunger, { life: facts }) }],
	policy: decide.defaultPolicy,
	openingCost: 400
};
const radii = [0, 60, 120, 180, 240, 300].map((angleDeg, i) => ({
	angleDeg,
	value: 1 + (i % 2) / 100,
	mm: 10 * (i % 2)
}));
const square = [
	[1, 1],
	[1, 2],
	[1, 3],
	[1, 5]
];
const spring = { wire: 1.6, meanDiameter: 12, activeCoils: 6, shearModulus: 81_500 };
const drive = { strokeMm: 24, rodMm: 84, phasesDeg: [0, 120, 240] };
const full = { scope: 'full' };
const onBench = record.together(sheet, full, [{ part: 'a', station: 'plunger', cylinder: 1 }], record.fold([]));
const wicked = [...onBench.units.values()][0];
const inPlace = [...onBench.places.values()][0];
const fastener = stationOn(sheet, 'headNuts');
const flowDrive = { ...drive, boreMm: 18 };
const turning = Array.from({ length: 3000 }, (_, i) => 5 + Math.sin(i / 20));
const pulses = Array.from({ length: 15 }, (_, i) => i / 15);
const heardTrace = { sampleHz: 3000, pressureMPa: Float64Array.from(turning), indexS: pulses, speedRpm: 900 };
const heard = prove.shaftOrders(heardTrace) as prove.ShaftOrders;
const kit = { number: 'K', price: 20, days: 2, most: 5, holds: [{ station: 'a', pieces: 3 }] };
const toCover = { needs: [{ station: 'a', pieces: 4 }], offers: [kit], stock: [{ station: 'a', pieces: 1 }] };
const mpa = (value: number) => ({ value, typed: { text: String(value), unit: 'MPa' as const } });
const heldFor5 = { test: 'hold' as const, from: mpa(12), to: mpa(11.9), minutes: 5 };
const inspections = [1, 2].map((cylinder) => ({ station: 's', cylinder, hours: 1000, patterns: ['chip'] }));

const plate = {
	model: 'Quay',
	maker: 'not stated',
	cylinders: 3,
	strokeMm: 18,
	ratedPressureMPa: 12,
	ratedSpeedRpm: 1000
};
const usual = {
	key: 'diameter',
	unit: 'mm',
	tolerance: 0.001,
	when: 'always',
	allowance: { side: 'min', share: 0.01 }
};
const listed = { item: '1', description: 'O-ring', quantity: 6 };

const lived = [
	survival.exactLife(900),
	survival.exactLife(1500),
	survival.intervalCensored(500, 1200),
	survival.rightCensored(2000)
];
const weibullFit = survival.fitWeibull(lived);
const rebuilt = {
	pumpHours: 1000,
	inspections: [],
	asFound: [],
	sizes: [],
	sides: [],
	duty: { temperatureC: 40, pressureMPa: 9, speedRpm: 900 }
};
const chained = [{ prior: 0.2, perHour: 1e-4 }];
const visited = {
	hours: 0,
	observed: [{ present: true, backgroundRate: 0.1, links: [{ chain: 0, strength: 0.6 }] }],
	actions: [{ chain: 0, effectiveness: 0.5 }]
};
const followedChains = trace.followChains(chained, [visited]) as Extract<trace.Followed, { kind: 'followed' }>;

type Call = (...args: never[]) => unknown;
interface Walked {
	readonly args: readonly unknown[];
	/** Where the number is not itself passed on: the call to be made with the arguments. */
	readonly call?: (...args: never[]) => unknown;
	/** Properties that are not walked: what the schema of a sheet or a log holds to. */
	readonly held?: readonly string[];
}
const of = (...args: unknown[]): Walked => ({ args });
const networkIsChecked = ['findings', 'causes', 'follows', 'version'];
const sheetIsChecked = ['station', 'stations', 'sheet'];

/** Arguments with which each function answers. A function that is not here fails the test. */
const answers: Record<string, Walked> = {
	normalCdf: of(0.3),
	normalQuantile: of(0.3),
	studentCdf: of(0.3, 5),
	studentQuantile: of(0.3, 5),
	chiSquareQuantile: of(0.3, 5),
	chiSquareUpper: of(3, 5),
	gammaLn: of(3),
	gammaUpper: of(3, 2),
	mean: of([1, 2]),
	sampleVariance: of([1, 2]),
	chebyshevFit: of(square, [1, 2, 3, 6]),
	sizesByEye: of([{ code: 'unmeasured', characteristic: 'diameter', pointsLeft: 2 }]),
	deliveryOf: of(
		{
			needs: [{ station: 's', pieces: 3 }],
			stock: [],
			offers: [{ number: 'N', price: 1, holds: [{ station: 's', pieces: 1 }] }]
		},
		{ N: 2 }
	),
	isTold: of({ value: 2, low: 1.5, high: 8 }),
	recordNeeded: of({ value: 2, low: 0.5, high: 8 }),
	highestAt: { args: [(x: number) => -((x - 2) ** 2), 0, 5, 1e-6] },
	solveLinear: of(
		[
			[1, 2],
			[3, 4]
		],
		[1, 2]
	),
	leastSquares: of(square, [1, 2, 3, 6]),
	powerRule: of(16, 0.3),
	gaussLegendre: of(5),
	effectiveDof: of([
		{ u: 1, dof: 4 },
		{ u: 2, dof: 9 }
	]),
	combine: of([{ source: 'resolution', u: 1, dof: 4 }]),
	budgetOf: of({
		readings: [1, 1.1],
		gauge,
		thermal: { partC: 25, gaugeC: 20, partExpansion: 1e-5, gaugeExpansion: 1e-5 }
	}),
	dominantLine: of(budget),
	probabilityBeyond: of({ value: 1, u: 0.1, dof: 5 }, { min: 0.9 }),
	conformity: of({ value: 1, u: 0.1, dof: 5 }, { min: 0.9, max: 2 }, risks),
	fitOf: of({ value: 18, u: 0.01, dof: 5 }, { value: 17.9, u: 0.01, dof: 5 }),
	diameterForm: of([0, 1].flatMap((row) => [0, 1].map((column) => ({ row, column, value: 18 - 0.01 * row })))),
	edgeRadius: of([
		{ x: 0, y: 0 },
		{ x: 1, y: 0.2 },
		{ x: 2, y: 1 },
		{ x: 2.2, y: 2 }
	]),
	lostVolume: of(0.2, 8, 90),
	flatness: of([
		{ x: 0, y: 0, z: 0 },
		{ x: 1, y: 0, z: 0.01 },
		{ x: 0, y: 1, z: 0 },
		{ x: 1, y: 1, z: 0.02 }
	]),
	roundness: of(radii),
	cylindricity: of(radii),
	surfaceStatistics: of([{ shape: 'band', fromMm: 2, toMm: 5, fromDeg: 10, toDeg: 80 }], {
		lengthMm: 40,
		track: { fromMm: 1, toMm: 30 }
	}),
	rayleigh: of(0.5, 6),
	commonDirection: of([10, 20]),
	deviationFrom: of(square, [1, 2, 3, 6]),
	findOutlier: of([1, 1.1, 1.2, 4], 0.05),
	grubbsCritical: of(5, 0.05),
	waysToSettle: of({ readings: [1], gauge }, 1, { min: 0.999 }, risks, [{ id: 'g', facts: gauge }]),
	lengthAt20C: of(100, { partC: 30, gaugeC: 20, partExpansion: 1e-5, gaugeExpansion: 1e-5 }),
	thermalUncertainty: of(100, { partC: 30, gaugeC: 20, partExpansion: 1e-5, gaugeExpansion: 1e-5 }, 2),
	worstPoint: of([
		{ value: 1, own: 0.1, shared: 0.05 },
		{ value: 1.2, own: 0.1, shared: 0.05 }
	]),
	compressionSet: of({ asNew: 2.62, found: 2.4, gland: 2.1 }),
	squeeze: of(2.6, 2.1),
	stretch: of(10, 11),
	glandFill: of(2.6, 2.1, 3.5),
	swell: of(2.7, 2.6),
	swellByMass: of(2.7, 2.6),
	annularLeak: of({ diameter: 18, clearance: 0.05, length: 20, eccentricity: 1, pressure: 10, viscosity: 1 }),
	orificeLeak: of(0.1, 10, 1000),
	leakDown: of({ volume: 50, from: 10, to: 9, seconds: 30, bulkModulus: 2200 }),
	whichRing: of(10, 2.62),
	lapping: of({ height: 8, deepest: 0.1, finishing: 0.02, leastHeight: 7.7 }),
	grooveArea: of(0.2, 0.1),
	springRate: of(spring),
	rateOfTest: of({ length: 20, load: 10 }, { length: 15, load: 30 }),
	wahlStress: of(spring, 20),
	solidLength: of(spring),
	torqueWindow: of({ torqueNm: 48, mostNm: 55 }, 0.5),
	readTorque: of(35.4, 'Nm', { targetNm: 48, leastNm: 46, mostNm: 50 }),
	proposedTorque: of({ diameterMm: 10, friction: 0.12 }, '8.8'),
	clampLoad: of(46, { diameterMm: 10, friction: 0.12 }),
	nextSlot: of({ slots: 6, aheadDeg: 22, torqueNm: 60, riseNmPerDeg: 0.5, mostNm: 75 }),
	shimPack: of(0.8, [{ thicknessMm: 0.5, count: 2 }]),
	seating: of([0, 120, 240].map((atDeg, i) => ({ atDeg, depthMm: 6 + i / 10 }))),
	jointsAt: of(3, 120),
	displacementCm3: of(flowDrive),
	theoreticalFlowLmin: of(flowDrive, 900),
	forwardSpeed: of(drive, 200, 1),
	volumetricEfficiency: of(drive, {
		flowLmin: { value: 17, u: 0.2 },
		speedRpm: { value: 1000, u: 5 },
		boreMm: { value: 18, u: 0.01 }
	}),
	temperatureRiseK: of(10, 0.8),
	pressurePerKelvin: of(20),
	holdFinding: of(
		{ fromMPa: 10, toMPa: 9.8, minutes: 5, u: 0.02, cooled: { byK: 1, uK: 0.1, atC: 20 } },
		{ minutes: 5, mostFallMPa: 0.3 },
		{ volumeMm3: 36_000, bulkModulusMPa: 1800 }
	),
	shaftOrders: of(heardTrace),
	whichValve: { args: [drive, heard], held: ['orders'] },
	neededParts: of([inPlace]),
	consumables: { args: [sheet, full], held: sheetIsChecked.concat('0') },
	coverProgramme: of(toCover),
	around: of(toCover, { K: 1 }),
	coverWith: of(toCover, { K: 2 }),
	uncovered: of(toCover),
	readCover: of(toCover, { x0: 1, s0: 1 }),
	tighteningOrder: of({
		pattern: 'cross',
		bolts: [
			{ xMm: 1, yMm: 2 },
			{ xMm: -1, yMm: 3 }
		]
	}),
	tighteningPasses: {
		args: [
			{
				pattern: 'cross',
				bolts: [
					{ xMm: 1, yMm: 2 },
					{ xMm: -1, yMm: 3 }
				],
				stages: [0.5, 1],
				torqueNm: 40
			}
		],
		held: ['stages', 'torqueNm']
	},
	drawnBackMm: of(drive, 30, 2),
	anglesFor: of(drive, 'outerLevel', 1),
	turnOn: of(30, 60),
	whichSpring: of({ wire: { value: 1.2, u: 0.01 } }, [{ id: 'a', sizes: { wire: { size: 1.2, tolerance: 0.02 } } }]),
	shownUnit: of('length', quantity.metric),
	formatNumber: of(3.2, 1),
	formatQuantity: of(3.2, 'mm'),
	formatDifference: of(3.2, 'mm'),
	formatWithUncertainty: of(3.2, 0.01, 'mm'),
	formatProbability: of(0.2),
	parseNumber: of('12,450', { least: 0, most: 100 }),
	parseQuantity: of('18.02', 'mm'),
	isAsTyped: of(18.02, { text: '18.02', unit: 'mm' }),
	dimensionOf: of('mm'),
	unitLabel: of('mm'),
	toBase: of(3, 'in'),
	fromBase: of(3, 'in'),
	differenceFromBase: of(3, 'in'),
	unitsOf: of('torque'),
	unitNamed: of('mm'),
	patternName: of('chip'),
	partType: of('plunger'),
	goesInLubricated: of('oRing'),
	wearUsed: of({ start: 18, value: 17.97, limit: 17.95 }),
	checkPlausible: { args: [sheet, 'x', [1]], held: ['0'] },
	checkEntry: {
		args: [readings[0], { sheet, scope: 'full', stationOfPart: new Map([['part', 'plunger']]) }],
		held: ['payload', 'sheet']
	},
	weightedPolynomials: of(4),
	kindOf: { args: [readings[0]], held: ['payload'] },
	inLogOrder: { args: [readings], held: ['payload'] },
	fold: { args: [readings], held: ['payload'] },
	checkFitted: {
		args: [{ characteristic: 'diameter', value: 18, typed: { text: '18', unit: 'mm' } }, station],
		held: ['1', 'value']
	},
	stepsBefore: { args: [sheet.steps, sheet.steps[2]], held: ['0', '1'] },
	waitsFor: { args: [sheet.steps, sheet.steps[2], new Set()], held: ['0', '1'] },
	blockedBy: { args: [sheet.steps, new Set()], held: ['0'] },
	uncleaned: { args: [sheet.steps, new Set()], held: ['0'] },
	toolsInScope: { args: [sheet, { scope: 'full' }], held: ['0'] },
	wrongTool: { args: [sheet, {}], held: ['0'] },
	foundWrong: { args: [plunger], held: ['payload'] },
	brokenUp: { args: [plunger], held: ['payload'] },
	hasDirection: { args: [station], held: ['face'] },
	locksInForce: { args: [sheet.steps, new Set()], held: ['0'] },
	mayTurn: { args: [sheet.steps, new Set(), sheet.steps[0]], held: ['0', '2'] },
	facesUp: { args: [sheet.assemblies, sheet.steps, new Set()], held: ['0', '1'] },
	reconcile: {
		args: [sheet, { scope: 'full' }, { steps: new Set(), answers: new Map(), parts: new Map() }],
		call: (...args) => (record.reconcile as Call)(...(args as never[]), (() => undefined) as never),
		held: ['0', '1']
	},
	unaccounted: { args: [[]] },
	lostFragments: { args: [[]] },
	stepsOutOfOrder: { args: [{ sheet, scope: 'full' }, new Map()], held: ['0'] },
	effectiveTime: { args: [readings[0]] },
	withdrawnIds: { args: [readings], held: ['payload'] },
	standingDecision: { args: [plunger], held: ['payload'] },
	isInspected: { args: [plunger], held: ['payload'] },
	stationsInScope: { args: [sheet, { scope: 'full' }], held: ['0'] },
	stepsInScope: { args: [sheet, { scope: 'full' }], held: ['0'] },
	characteristicOf: { args: [station, 'diameter'], held: ['0'] },
	discardLimit: { args: [{ min: 17.95 }], held: ['0'] },
	pointsToRead: { args: [size], held: ['0'] },
	askKey: of('isolate', 0),
	unanswered: { args: [{ key: 'isolate', asks: [{ kind: 'tick', text: 'x' }] }, new Set(), [1]], held: ['0'] },
	askedAt: { args: [{ kind: 'tick', text: 'x' }, [1]], held: ['0', '1'] },
	placesAsked: { args: [{ kind: 'readings', text: 'x', unit: 'mm', at: 'cylinders' }, [1]], held: ['1'] },
	differenceOf: of([{ value: 0.1 }, { value: 0.3 }]),
	tooFarApart: {
		args: [
			{ kind: 'readings', text: 'x', unit: 'mm', at: 'cylinders', most: { difference: 0.1, hold: 'x' } },
			[{ value: 0.1 }]
		],
		held: ['0']
	},
	powerOn: { args: [{ power: { loosen: true, runIn: false } }, 'sheet', 'in'] },
	consequences: { args: [sheet.steps, new Map()], held: ['0'] },
	heldByAnswers: { args: [sheet.steps, new Map()], held: ['0'] },
	scopeOf: { args: [sheet, { scope: 'full' }], held: ['0'] },
	allSteps: { args: [sheet, full], held: ['0'] },
	buildSteps: { args: [sheet, full], held: ['0'] },
	proveSteps: { args: [sheet, full], held: ['0'] },
	mirroredKey: of('plunger'),
	together: {
		args: [sheet, full, [{ part: 'a', station: 'plunger', cylinder: 1 }], record.fold([])],
		held: ['0', '3']
	},
	joinKey: of('caseSet'),
	staysIn: { args: [station], held: ['0'] },
	subAssembliesInScope: { args: [sheet, full], held: ['0'] },
	curing: { args: [sheet, onBench.steps, new Map()], held: ['0', '1'] },
	stationKeysOf: { args: [sheet.subAssemblies, 'caseSet'], held: ['0'] },
	holderOf: { args: [sheet.subAssemblies, 'wick'], held: ['0'] },
	orderFacts: { args: [sheet, full, onBench.steps], held: ['0', '2'] },
	unitPlace: of('caseSet', 1),
	itemsOf: { args: [onBench, onBench.steps[0]], held: ['steps'] },
	unitsFilled: { args: [onBench, onBench.steps[0]], held: ['steps'] },
	notJoined: { args: [onBench, wicked], held: ['0', '1'] },
	fastenersAt: { args: [onBench, onBench.steps[0]], held: ['0', '1'] },
	partsOf: { args: [onBench, wicked], held: ['0', '1'] },
	inPump: { args: [onBench, inPlace], held: ['0', '1'] },
	doneDespite: { args: [onBench, sheet.steps, new Map()], held: ['0', '1'] },
	unitKeptOut: { args: [onBench, wicked], held: ['0', '1'] },
	foundLay: { args: [{}], held: ['0'] },
	foundRan: { args: [{}], held: ['0'] },
	tightenedBy: { args: [fastener, { tightened: [] }], held: ['0'] },
	facesUpAt: { args: [sheet, sheet.steps, onBench.steps, onBench.steps[0]], held: ['0', '2'] },
	benchSide: of('P', 'C'),
	placesFilled: { args: [onBench, onBench.steps[0]], held: ['steps', 'asks'] },
	firstMissing: { args: [onBench, 'plunger', 1], held: ['steps'] },
	gateOpen: { args: [onBench, 'a'], held: ['steps'] },
	verdictOn: { args: [inPlace], held: ['station'] },
	leftOf: { args: [onBench, onBench.steps[0], new Set()], held: ['steps', 'asks'] },
	builtSteps: { args: [onBench, new Set()], held: ['steps'] },
	piecesIn: { args: [onBench], held: ['steps'] },
	firstUnbuilt: { args: [onBench, new Set()], held: ['steps'] },
	lastProofs: of([]),
	gaugeOf: { args: [plunger.readings[0]], held: ['0'] },
	holdOn: { args: [sheet, { hold: heldFor5 }, [fineGauge]], held: ['0', 'typed'] },
	unproved: { args: [sheet, { hold: heldFor5, drips: new Map() }, [fineGauge], risks], held: ['0', 'typed'] },
	keptOut: { args: [onBench, 'a'], held: ['steps'] },
	windowMinutes: { args: [{ within: { of: 'a', minutes: 5 } }, []], held: ['minutes'] },
	boltStates: { args: [fastener, { tightened: [] }], held: ['0'] },
	nextBolt: { args: [fastener, { tightened: [] }], held: ['0'] },
	groupTightened: { args: [fastener, { tightened: [] }], held: ['0'] },
	openedCylinders: { args: [sheet, { arrival: { cylinders: [2] } }], held: ['0', '1'] },
	wrongCylinder: { args: [sheet, [1, 2]], held: ['0'] },
	piecesInPump: { args: [sheet, 'plunger'], held: ['0'] },
	cautionsFor: { args: [sheet.steps[0], {}], held: ['0'] },
	applies: of({ guide: ['flat'] }, { guide: ['flat', 'u'] }, 1),
	chosenProblem: { args: [sheet, { guide: 'flat' }], held: ['0'] },
	sheetJsonSchema: of(),
	jobFileJsonSchema: of(),
	flowDriveOf: { args: [sheet], held: ['0'] },
	flowOn: { args: [sheet, {}], held: ['0'] },
	riseOn: of({}),
	readJobFile: of('{"version": 1}'),
	canonicalJson: of({ b: 1, a: [2] }),
	withNames: { args: [{ value: 1, by: 'x' }, new Map([['x', '@person/1']])], held: ['value'] },
	withIds: { args: [{ value: 1, by: '@person/1' }, new Map([['@person/1', 'x']])], held: ['value'] },
	readSheet: of('{'),
	sheetProblems: { args: [sheet], held: ['0'] },
	ageNodes: of({ kind: 'unknown', seenFor: 100, atMost: 4000 }),
	wearPriorOf: { args: ['plunger', size], held: ['1'] },
	scatterSpread: of(prior),
	openRate: of(prior),
	followWear: of(history, [{ shapePer1000h: 1.4, exponent: 1 }], grid),
	priorKnowledge: of(prior),
	PartWear: {
		args: [prior, { mean: 0, sd: 0.2 }, history, 1000],
		call: (own: never, factor: never, seen: never, hours: never) =>
			new life.PartWear(life.priorKnowledge(own), factor, seen).risk(hours)
	},
	unknownPump: of({ mean: 0, sd: 0.2 }),
	fitFleetWear: { args: [[{ key: 'k', prior, parts: [{ pump: 'p', history }] }], new Map([['p', '']])] },
	lifePriorOf: { args: [station], held: ['0'] },
	fitCompetingFailures: of([
		{ station: 's', type: 't', prior: ends, lives: [{ before: history.before, held: 500, endedBy: 900 }] }
	]),
	endsBefore: of(ends),
	newPartFails: { args: [life.endsBefore(ends), 500], held: ['nodes'] },
	riskOfCompetingFailure: { args: [life.endsBefore(ends), { kind: 'known', hours: 1000 }, 500], held: ['nodes'] },
	dutyClassOf: { args: [{ pressureMPa: 9, speedRpm: 900 }, sheet], held: ['1'] },
	dutyHours: of([{ untilHours: 1000, wearFactor: 1.2 }], 100, 2000),
	arithmeticOf: { args: [inputFor(sheet, 'plunger', plunger), judgement], held: ['0', '1'] },
	facePoints: {
		args: [{ face: { rowsMm: [0, 5], columnsMm: [0, 5] } }, [{ row: 0, column: 1, value: 0.1 }]],
		held: ['0', 'row', 'column']
	},
	measureCharacteristic: { args: ['plunger', size, plunger.readings, [fineGauge]], held: ['1', 'row', 'column'] },
	readingAt20C: of('plunger', 'mm', gauge, { value: 18, partC: 35, gaugeC: 34 }),
	slipsIn: {
		args: [
			station,
			plunger.readings,
			{ gauges: [fineGauge], asFitted: {}, life: ran(station, 1000), stations: sheet.stations }
		],
		held: ['0', '1', 'stations', 'row', 'column']
	},
	cannotBeWear: { args: [station, size, { value: 17.9, u: 0.01 }, 18, 1000], held: ['0', '1'] },
	startOf: of(size, { diameter: 18 }),
	chanceOfWear: of(2, 1000, { hoursToLimit: 4000, between: 0.33, within1000h: 0.35 }),
	judgeCharacteristic: {
		args: [
			'plunger',
			size,
			plunger.readings,
			{ gauges: [fineGauge], policy: decide.defaultPolicy, asFitted: { diameter: 18 } }
		],
		held: ['1', 'row', 'column']
	},
	customKindOf: { args: [station], held: ['0'] },
	setOf: { args: [station, 1, decide.defaultPolicy], held: ['0'] },
	endReason: { args: [judgement, station], held: ['0', '1'] },
	beyondAtInspection: { args: [station, size, onRecord, [fineGauge]], held: ['0', '1', 'row', 'column'] },
	sizeAtInspection: { args: [station, size, onRecord, [fineGauge]], held: ['0', '1', 'row', 'column'] },
	stretchesOf: { args: [jobs, sheet], held: ['1'] },
	learnFleet: {
		args: [{ ...sheet, stations: [station] }, { jobs, lives: [fittedAt], sizes: [onRecord] }, [fineGauge]],
		held: ['0', 'row', 'column']
	},
	identify: { args: [station, { diameter: { value: 18, u: 0.01, dof: 5 } }, sheet.stations], held: ['0', '2'] },
	identityReasons: { args: [station, { diameter: { value: 18, u: 0.01, dof: 5 } }, sheet.stations], held: ['0', '2'] },
	judge: {
		args: [inputFor(sheet, 'plunger', plunger, { life: facts, asFitted: { diameter: 18 } })],
		held: [...sheetIsChecked, 'row', 'column']
	},
	forecastOf: {
		args: [inputFor(sheet, 'plunger', plunger, { life: facts, asFitted: { diameter: 18 } })],
		held: [...sheetIsChecked, 'row', 'column']
	},
	partLifeOf: {
		args: [inputFor(sheet, 'plunger', plunger, { life: facts, asFitted: { diameter: 18 } }), 1000],
		held: sheetIsChecked,
		call: (known: never, hours: never) => decide.partLifeOf(known, []).reused(hours)
	},
	withReason: { args: [judgement, { code: 'nothingFound' }], held: ['0'] },
	unknownLife: { args: [station], held: ['0'] },
	PartLife: {
		args: [facts, { diameter: 18 }, 1000],
		call: (known: never, fitted: never, hours: never) => new decide.PartLife(station, known, [], fitted).reused(hours)
	},
	pastOf: {
		args: [
			{ part: 'a', fromHours: 0, hours: 2500, asFitted: {} },
			station,
			sheet,
			jobs,
			[{ ...onRecord, pumpHours: 1000 }],
			[fineGauge]
		],
		held: ['1', '2', 'row', 'column']
	},
	knowledgeOfPump: { args: [{ pumps: {}, classes: { '': { mean: 0, sd: 0.2 } } }, jobs[0], sheet], held: ['2'] },
	anyInPump: of([[0.01, 0.02, 0.03, 0.05, 0.1]]),
	costOf: of([setPart], new Map([['a', 'reuse']]), 400),
	decideSet: of([setPart], 400),
	costsAlone: of(setPart, 400),
	bestInterval: {
		args: [[setPart], { planned: 400, unplanned: 1300 }, [1000, 2000]],
		call: (parts: never, opening: never, hours: never) => decide.bestInterval(() => parts, opening, hours)
	},
	leadersOf: { args: [[placed], decide.defaultPolicy], held: ['0'] },
	withinSet: { args: [placed, new Map(), decide.defaultPolicy], held: ['0'] },
	wornShape: { args: [measured], held: ['sheet', 'row', 'column', 'budget', 'input', 'gauge'] },
	unitTriggers: { args: [[{ station, record: plunger, cylinder: 1 }]], held: ['0'] },
	compareUnit: of(900, { price: 3900, lifeHours: 40_000 }, decide.defaultPolicy),
	wantedSizes: { args: [station, plunger, decide.defaultPolicy], held: ['0', '1'] },
	proposalOf: { args: [decide.decideWhole(whole).parts, 'renewSoft', 3], held: ['0'] },
	besideOthers: of({ value: 17.93, u: 0.005 }, [{ value: 17.99, u: 0.005 }], { tolerance: 0.01, min: 17.9 }),
	decideWhole: { args: [whole], held: [...sheetIsChecked, 'column', 'readings', 'facts'] },
	economicInterval: { args: [whole], held: [...sheetIsChecked, 'column', 'readings', 'gauges', 'life', 'policy'] },
	placeKey: of('plunger', 1),
	matRows: of([{ column: 2, cylinder: 1, state: 'open' }]),
	placesOf: { args: [sheet], held: ['0'] },
	firstCheck: { args: [trace.startingNetwork, { links: [] }, sheet, 1], held: ['0', '2'] },
	whereToLook: { args: [trace.startingNetwork.findings[0], sheet, 1], held: ['0', '1'] },
	contrastGroups: of([
		{ model: 'm', station: 's', group: 'A', age: 0, size: null, pattern: null, events: 0, hours: 1000 },
		{ model: 'm', station: 's', group: 'B', age: 0, size: null, pattern: null, events: 0, hours: 500 },
		{ model: 'm', station: 's', group: 'A', age: 0, size: null, pattern: 'x', events: 3, hours: 0 }
	]),
	wholeInput: { args: [onMat, [{ cell, station, record: plunger }]], held: ['0', '1'] },
	layMat: { args: [onMat, new Map()], held: ['0'] },
	matePlaces: { args: [onMat], held: ['0'] },
	matesAt: { args: [mat.matePlaces(onMat), cell, mat.layMat(onMat, new Map())], held: ['cylinder', 'age'] },
	lifeOf: { args: [onMat.fleet, station, cell], held: ['0', '1', '2'] },
	judgeInput: { args: [onMat, { cell, station, record: plunger }, []], held: ['0', '1'] },
	judgeMat: {
		args: [onMat, new Map([['a', plunger]])],
		call: (...args: never) =>
			mat.judgeMat(...(args as Parameters<typeof mat.judgeMat>)).map(({ judgement }) => judgement),
		held: [...sheetIsChecked, 'gauges', 'policy', 'fleet', 'cylinder']
	},
	firstUnmeasured: { args: [{ station, record: plunger }, decide.defaultPolicy], held: ['0', '1'] },
	walkingOrder: { args: [[station], 3], held: ['0', '1'] },
	step: { args: ['plunger/1', 'ArrowDown', { stations: [station], cylinders: 3 }, 1], held: ['2', '3'] },
	countedSizes: of([{ part: 'a', characteristic: 'c', pumpHours: 1000, fittedHours: 0, beyond: false }]),
	countedInspections: of([
		{
			part: 'a',
			station: 's',
			cylinder: 1,
			pumpHours: 1000,
			fittedHours: 0,
			marks: [{ pattern: 'chip', severity: 1, onset: 'service' }]
		}
	]),
	betaCdf: of(0.3, 2, 5),
	betaQuantile: of(0.3, 2, 5),
	fitWeibull: of(lived, 0.95),
	weibullLogLikelihood: of(lived, 1500, 1.8),
	endedShare: of(weibullFit, 800, 0.95),
	leastScale: of([{ after: 1000, by: Infinity }], 2, 0.95),
	compareWeibull: of(lived, lived.slice(1), 0.95),
	stepCurves: of(
		[
			{ hours: 5, ended: true },
			{ hours: 7, ended: false }
		],
		0.95
	),
	logRank: of([
		[
			{ hours: 5, ended: true },
			{ hours: 7, ended: false }
		],
		[
			{ hours: 6, ended: true },
			{ hours: 9, ended: true }
		]
	]),
	turnbull: of(lived),
	meanCumulative: of(
		[
			{ until: 1000, at: [300, 700] },
			{ until: 500, at: [300] }
		],
		0.95
	),
	turnbullBand: of(lived, [500, 1500], 0.95),
	repairTrend: of(
		[1, 2, 3].map((n) => ({ visits: [0, 900, 2000, 3100], replaced: [n, 2, 3] })),
		0.95
	),
	compareRates: of({ events: 3, exposure: 1000 }, { events: 1, exposure: 2000 }, 0.95),
	compareRatesWithin: of([{ first: { events: 3, exposure: 1000 }, second: { events: 1, exposure: 2000 } }], 0.95),
	chanceWithin: of([{ first: { events: 3, exposure: 1000 }, second: { events: 1, exposure: 2000 } }]),
	falseDiscovery: of([0.01, 0.2]),
	fleetRate: of([
		{ events: 0, exposure: 10 },
		{ events: 7, exposure: 10 }
	]),
	againstFleet: of({ events: 3, exposure: 10 }, { kind: 'spread', shape: 2, rate: 10, mean: 0.2 }, 0.95),
	comparePlaces: of(
		[1, 2, 3].flatMap((p) => [
			{ pump: `${p}`, station: 's', cylinder: 1, pattern: null, events: 0, hours: 1000 },
			{ pump: `${p}`, station: 's', cylinder: 1, pattern: 'x', events: p, hours: 0 }
		]),
		() => 'model'
	),
	harshnessOf: of(
		'model',
		[1, 2, 3].flatMap((p) => [
			{ pump: `${p}`, station: 's', cylinder: 1, pattern: null, events: 0, hours: 1000 },
			{ pump: `${p}`, station: 's', cylinder: 1, pattern: 'x', events: p, hours: 0 }
		])
	),
	spreadOverCylinders: of([
		{ events: 3, exposure: 1000 },
		{ events: 0, exposure: 900 }
	]),
	bySeason: of([
		{ receivedAt: new Date(0), hours: 1000, found: true },
		{ receivedAt: new Date(2e10), hours: 900, found: false }
	]),
	fleetShare: of([
		{ events: 0, inspections: 10 },
		{ events: 7, inspections: 10 }
	]),
	chanceOfFinds: of(
		{ events: 0, inspections: 4 },
		{ events: 3, inspections: 4 },
		{ kind: 'spread', alpha: 1, beta: 9 },
		8
	),
	fixWorked: of({ events: 3, exposure: 3000, inspections: 3 }, { events: 0, exposure: 1000, inspections: 1 }, 0.95),
	readNetwork: of(trace.startingNetwork),
	stationsOf: { args: [trace.startingNetwork.findings[0], sheet], held: sheetIsChecked },
	findingsAt: { args: [trace.startingNetwork, sheet, rebuilt], held: ['1'] },
	followChains: of(chained, [visited]),
	carriedBy: { args: [followedChains.last, visited], held: ['components', 'chains'] },
	nextChecks: { args: [followedChains.last, [{ ...visited.observed[0], minutes: 3 }]], held: ['components', 'chains'] },
	beliefsOf: { args: [trace.startingNetwork, sheet, [rebuilt], []], held: ['1', 'findings', 'causes'] },
	learnStrengths: { args: [trace.startingNetwork, []], held: networkIsChecked },
	learnBackgroundRates: {
		args: [trace.startingNetwork, [{ finding: 'sealTorn', inspected: 20, present: 3 }]],
		held: networkIsChecked
	},
	poissonRate: of(3, 1000, 0.95),
	recurrences: { args: [inspections], held: ['cylinder'] },
	standsOut: of({ pAny: 0.01 }, 12),
	binomialUpperTail: of(3, 5, 0.3),
	changesBetween: { args: [sheet, sheet], held: ['0', '1'] },
	customsOf: { args: [[sheet]], held: ['0'] },
	firstTypes: { args: [[sheet]], held: ['0'] },
	usualSize: of('diameter', 'mm', 20, usual),
	faultsOf: { args: [sheet], held: ['0'] },
	lacksOf: { args: [sheet], held: ['0'] },
	fittedTo: { args: [sheet, { ...plate, plungerMm: 21 }], held: ['0'] },
	keyFor: of('Head ring', []),
	lostByMove: { args: [sheet, sheet, full, [], []], held: ['0', '1'] },
	newSheet: of(plate),
	knownNames: { args: [[sheet]], held: ['0'] },
	proposeParts: of([listed], draft.knownNames([]), 3),
	partOfLine: of({ ...listed, types: ['oRing'], sure: true, per: 'pump', pieces: 2 }, 'oRing'),
	isFirst: of({ key: 'isolate', blocking: true }),
	withNewStep: { args: [sheet, 'strip', 'Look'], held: ['0'] },
	withStepOrder: { args: [sheet, ['headNuts']], held: ['0'] },
	withStepSplit: { args: [sheet, 'packing'], held: ['0'] },
	withStepsConfirmed: { args: [sheet], held: ['0'] },
	withStepsDrafted: { args: [sheet], held: ['0'] },
	withPart: { args: [sheet, 2, { type: 'oRing', pieces: 2, price: 3 }], held: ['0'] },
	withPartsMoved: { args: [sheet, ['headNuts'], 2], held: ['0'] },
	boltsAlone: { args: [[{ xMm: 10, yMm: 0 }]], held: ['0'] },
	boltsOut: of({ bolts: [{ xMm: 10, yMm: 0, mark: 'last' }] }),
	withNewSize: { args: [sheet, { station: 'plunger', characteristic: 'diameter', nominal: 18 }, {}], held: ['0'] },
	canBeAdded: { args: ['plunger', 'diameter', {}] },
	withLaidDown: { args: [sheet, [{ type: 'oRing', pieces: 2, price: 3 }], {}], held: ['0'] },
	withVariant: { args: [sheet, 'Retainers'], held: ['0'] },
	withChoice: { args: [sheet, 'retainers', 'Plastic'], held: ['0'] },
	withoutChoice: { args: [sheet, 'retainers', 'plastic'], held: ['0'] },
	withoutVariant: { args: [sheet, 'retainers'], held: ['0'] },
	namesOnlyWith: { args: [sheet, 'retainers', 'plastic'], held: ['0'] },
	onlyWithChoices: {
		args: [
			{ retainers: ['metal'] },
			{
				key: 'retainers',
				name: 'Retainers',
				per: 'pump',
				choices: [
					{ key: 'metal', name: 'Metal' },
					{ key: 'plastic', name: 'Plastic' }
				]
			},
			['metal']
		],
		held: ['0', '1']
	},
	withPriceList: {
		args: [sheet, [{ number: 'MAR-102', price: 3, deliveryDays: 2, kit: 'K', kitPrice: 2, pieces: 1 }]],
		held: ['0']
	},
	withRows: { args: [sheet, ['plunger'], ['headNuts']], held: ['0'] },
	withPartsCopied: { args: [sheet, ['plunger']], held: ['0'] },
	withPartChanged: { args: [sheet, 'plunger', { lookFor: 'cracks' }], held: ['0'] },
	withStepChanged: { args: [sheet, 'isolate', { text: 'Lock out' }], held: ['0'] },
	withStepMoved: { args: [sheet, 'isolate', 3], held: ['0'] },
	withoutStep: { args: [sheet, 'isolate'], held: ['0'] },
	withoutParts: { args: [sheet, ['plunger']], held: ['0'] },
	withMates: { args: [sheet, 'plunger', 'headNuts'], held: ['0'] },
	withJoined: { args: [sheet, ['plunger', 'headNuts'], 'Set'], held: ['0'] },
	withTakenApart: { args: [sheet, 'sealCaseSet'], held: ['0'] },
	turned: of({ toward: 'P', reversible: false }, { what: 'lip' })
};
// The same in pieces.
const { fitFleetWear, fitCompetingFailures, learnFleet } = answers;
answers.fittingFleetWear = {
	...fitFleetWear,
	call: (kinds: never, classes: never) => life.toTheEnd(life.fittingFleetWear(kinds, classes))
};
answers.fittingCompetingFailures = {
	...fitCompetingFailures,
	call: (stations: never) => life.toTheEnd(life.fittingCompetingFailures(stations))
};
answers.learningFleet = {
	...learnFleet,
	call: (of: never, known: never, gauges: never) => life.toTheEnd(decide.learningFleet(of, known, gauges))
};

// What checks others' conditions or is one, takes no numbers to be walked.
const notWalked = [
	...['PreconditionError', 'requireThat', 'finiteAnswer', 'toTheEnd', 'nameText', 'defined'],
	...[
		'RunningLog',
		'LifeContext',
		'exactLife',
		'intervalCensored',
		'rightCensored',
		'hasEnded',
		'isExact',
		'isWatchedLate',
		'withAge'
	]
];
// Infinite where the book says so: degrees of freedom that are known exactly.
// Also the end of a life that still runs, and the weight of a find without which a cause could not be.
const MAY_BE_INFINITE = /(^|\.)(dof|repeatabilityDof|by|factors\.\d+)$/;

type Path = readonly (string | number)[];
function* numbersIn(value: unknown, held: readonly string[], path: Path = []): Generator<Path> {
	if (path.length > 0 && held.includes(String(path.at(-1)))) return;
	if (typeof value === 'number') yield path;
	else if (ArrayBuffer.isView(value) || value instanceof Map || value === null) return;
	else if (typeof value === 'object')
		for (const [key, inner] of Object.entries(value)) yield* numbersIn(inner, held, [...path, key]);
}
function withAt(value: unknown, [key, ...rest]: Path, replacement: number): unknown {
	if (key === undefined) return replacement;
	const copy = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) };
	(copy as Record<string, unknown>)[key] = withAt((value as Record<string, unknown>)[key], rest, replacement);
	return copy;
}
function* badNumbers(value: unknown, path = '', seen = new Set<object>()): Generator<string> {
	if (typeof value === 'number') {
		if (Number.isNaN(value) || (!Number.isFinite(value) && !MAY_BE_INFINITE.test(path))) yield `${path}: ${value}`;
	} else if (typeof value === 'object' && value !== null && !seen.has(value)) {
		seen.add(value);
		const inner = value instanceof Map ? value.entries() : ArrayBuffer.isView(value) ? [] : Object.entries(value);
		for (const [key, inside] of inner) yield* badNumbers(inside, path ? `${path}.${String(key)}` : String(key), seen);
	}
}

const isTyped = (error: unknown): boolean => error instanceof number.PreconditionError;

describe.each(Object.entries(packages))('%s', (_, offered) => {
	const functions = Object.entries(offered).filter(([, value]) => typeof value === 'function') as [string, Call][];
	it.each(functions.filter(([name]) => !notWalked.includes(name)))(
		'%s answers hostile numbers',
		(name, offeredCall) => {
			const walked = answers[name];
			expect(walked, `arguments with which ${name} answers`).toBeDefined();
			const call = (walked.call ?? offeredCall) as (...args: unknown[]) => unknown;
			const mayBeInfinite = name === 'effectiveDof';
			expect([...badNumbers(call(...walked.args))]).toEqual([]);
			const faults: string[] = [];
			for (const path of numbersIn(walked.args, walked.held ?? [])) {
				for (const value of hostile) {
					const args = withAt(walked.args, path, value) as unknown[];
					try {
						const bad = [...badNumbers(call(...args))].filter((number) => !mayBeInfinite || number.endsWith('NaN'));
						if (bad.length > 0) faults.push(`${path.join('.')} = ${value} → ${bad[0]}`);
					} catch (error) {
						if (!isTyped(error)) faults.push(`${path.join('.')} = ${value} → ${String(error)}`);
					}
				}
			}
			expect(faults).toEqual([]);
		}
	);
});

describe('what is empty, or no name', () => {
	const steady = [{ shapePer1000h: 5e-324, exponent: 1 }];
	it.each<[string, () => unknown]>([
		['a unit that is a property of every object', () => quantity.toBase(1, 'toString' as never)],
		['a pump without cylinders', () => prove.whichValve({ ...drive, phasesDeg: [] }, heard)],
		['a trace without orders', () => prove.whichValve(drive, { ...heard, orders: [] })],
		['wear that only ever jumps', () => life.followWear(history, steady, grid)],
		['no equations', () => number.solveLinear([], [])],
		['equations that are not square', () => number.solveLinear([[1, 2]], [1])],
		['a fit without columns', () => number.chebyshevFit([], [])],
		['no rebuild', () => decide.pastOf({ ...cell, fromHours: 0 }, station, sheet, [], [], [])],
		['no evidence', () => trace.beliefsOf(trace.startingNetwork, sheet, [], [])]
	])('%s is refused with a typed error', (_, call) => expect(call).toThrow(number.PreconditionError));
	it('a fleet without a record is at its priors', () =>
		expect(decide.learnFleet(sheet, { jobs: [], lives: [], sizes: [] }, [])).toMatchObject({
			settled: true,
			wear: {}
		}));
});

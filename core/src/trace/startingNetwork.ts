import type { PartTypeKey } from '../part';
import type { PatternKey } from '../part';
import type { Cause, CauseNetwork, FindingNode } from './network';

// The parts that the causes speak of, by what they do.
const seals = ['cup', 'lipSeal', 'vRing', 'ropePacking'] as const satisfies PartTypeKey[];
const rubbing = ['plunger', 'piston', 'sleeve', 'cylinder'] as const satisfies PartTypeKey[];
const valves = ['valve', 'valveCartridge', 'valvePlate'] as const satisfies PartTypeKey[];
const seats = ['valveSeat'] as const satisfies PartTypeKey[];
const rings = ['oRing', 'backupRing', 'flatSeal', 'vRing'] as const satisfies PartTypeKey[];
const joints = ['gasket', 'sealingWasher', 'washer', 'conicalWasher'] as const satisfies PartTypeKey[];
const lowPressure = ['lowPressureSeal'];

type By<K extends FindingNode['by']> = Extract<FindingNode, { by: K }>;
const mark = (
	key: string,
	name: string,
	parts: readonly PartTypeKey[],
	patterns: readonly PatternKey[],
	backgroundRate: number,
	more: Partial<By<'mark'>> = {}
): FindingNode => ({
	by: 'mark',
	key,
	name,
	parts: [...parts],
	patterns: [...patterns],
	seen: 'new',
	backgroundRate,
	minutes: 2,
	...more
});
const packing = { except: lowPressure };

const findings: FindingNode[] = [
	mark('sealOneSided', 'Packing worn on one side', seals, ['oneSidedWear'], 0.02, packing),
	mark('plungerOneSided', 'Plunger worn on one side', rubbing, ['oneSidedWear'], 0.01),
	{
		by: 'sameSide',
		key: 'sameSide',
		name: 'One-sided marks face the same way',
		parts: [...rubbing],
		backgroundRate: 0.1,
		minutes: 6
	},
	{
		by: 'size',
		key: 'runout',
		name: 'Plunger runs out of true',
		parts: ['plunger', 'rod'],
		sizes: ['runout', 'play'],
		backgroundRate: 0.03,
		minutes: 8
	},
	mark('sealHot', 'Packing charred or glazed', seals, ['glazed'], 0.02, packing),
	mark('plungerHot', 'Heat checks or colour band', rubbing, ['heatChecks', 'colourBand'], 0.02),
	mark('plungerScored', 'Plunger scored lengthwise', rubbing, ['axialScoring'], 0.05),
	mark('plungerScoredKept', 'Scored or pitted plunger was kept', rubbing, ['axialScoring', 'pittedEnd'], 0.02, {
		seen: 'kept'
	}),
	mark('depositKept', 'Plunger was kept with deposits on it', rubbing, ['deposit'], 0.03, { seen: 'kept' }),
	{
		by: 'assembly',
		key: 'runningFaceScarred',
		name: 'Running surface scarred when assembled',
		parts: [...rubbing],
		patterns: ['axialScoring', 'chip', 'nick', 'scoredBore'],
		backgroundRate: 0.01,
		minutes: 2
	},
	mark('sealGrit', 'Grit in the packing', seals, ['embeddedGrit'], 0.03, packing),
	mark('sealTorn', 'Packing lip torn', seals, ['lipTorn', 'split', 'frayed'], 0.03, packing),
	mark('sealExtruded', 'Packing heel extruded', seals, ['extrudedHeel'], 0.04, packing),
	mark('sealHard', 'Packing hardened or cracked', seals, ['hardened', 'crack'], 0.05, packing),
	mark('sealSwollen', 'Packing swollen or soft', seals, ['swollen'], 0.02, packing),
	mark('sealWornFlat', 'Packing worn evenly', seals, ['lipFlat', 'insideWear'], 0.1, packing),
	{
		by: 'early',
		key: 'sealEarly',
		name: 'Packing gone early',
		parts: [...seals],
		except: lowPressure,
		share: 0.35,
		backgroundRate: 0.08,
		minutes: 1
	},
	mark('inletPitted', 'Inlet valve or seat pitted', [...valves, ...seats], ['pitted'], 0.03, {
		only: ['inletValve', 'inletSeat', 'inletPoppet', 'bottom1Seat', 'bottom2Seat']
	}),
	mark('plungerPitted', 'Plunger end pitted', ['plunger', 'piston'], ['pittedEnd', 'pitted'], 0.02),
	mark('seatWireDrawn', 'Seat or valve wire-drawn', [...seats, ...valves], ['wireDrawn'], 0.04),
	mark('seatHammered', 'Seat hammered', seats, ['hammered'], 0.03),
	mark('valveNicked', 'Chip or nick under a valve', [...seats, ...valves], ['nick'], 0.03),
	mark('valveFaceWorn', 'Valve face worn', [...valves, ...seats], ['faceWorn'], 0.1),
	mark('valveBroken', 'Valve or cage cracked or broken', [...valves, 'cage'], ['crack', 'bent', 'broken'], 0.02),
	mark('valveGuideWorn', 'Posts or guide of a valve worn', ['valve', 'cage'], ['postWorn', 'guideWorn'], 0.05),
	mark('seatWornKept', 'Worn or pitted seat was kept', seats, ['faceWorn', 'pitted', 'wireDrawn', 'hammered'], 0.02, {
		seen: 'kept'
	}),
	mark('springShort', 'Spring set, weak or broken', ['spring'], ['short', 'weak', 'broken'], 0.05),
	{
		by: 'early',
		key: 'springEarly',
		name: 'Spring gone early',
		parts: ['spring'],
		share: 0.3,
		backgroundRate: 0.03,
		minutes: 1
	},
	mark('springStretchedKept', 'Stretched spring was kept', ['spring'], ['stretched'], 0.01, { seen: 'kept' }),
	mark('springCorroded', 'Spring corroded', ['spring'], ['corrosion'], 0.04),
	mark('ringNibbled', 'O-ring nibbled or extruded', rings, ['nibbled', 'blownAcross', 'extrudedHeel'], 0.03),
	mark('ringHard', 'O-ring hard or set', rings, ['hardened', 'flatSet'], 0.08),
	mark('ringSwollen', 'O-ring swollen or blistered', rings, ['swollen', 'blistered'], 0.02),
	{
		by: 'assembly',
		key: 'ringPinched',
		name: 'O-ring cut, pinched or rolled when fitted',
		parts: [...rings],
		patterns: ['cut', 'nick', 'pinched', 'rolled'],
		backgroundRate: 0.01,
		minutes: 2
	},
	mark('ringCut', 'O-ring cut or nicked', rings, ['cut', 'nick', 'pinched', 'rolled'], 0.02),
	{
		by: 'asFound',
		key: 'foundWrong',
		name: 'Found turned, missing or doubled',
		parts: [...seals, ...valves, 'spring', ...rings, 'slinger', 'wick', 'shim', 'washer', 'conicalWasher'],
		backgroundRate: 0.01,
		minutes: 2
	},
	mark('wrongPart', 'Wrong part in its place', ['spring', 'guide', 'valveCartridge'], ['wrongPart'], 0.01),
	mark('crushed', 'Packing or washer crushed', [...joints, 'spacer'], ['crushed'], 0.02),
	mark(
		'loose',
		'Hammered loose or fretted',
		['valveSeat', 'guide', 'rod', 'plungerRetainer'],
		['loose', 'galled'],
		0.02
	),
	mark('threadHurt', 'Thread galled or stretched', ['fastener', 'plug'], ['galled', 'stretched'], 0.02),
	mark('threadSoiled', 'Old sealer or dirt in a thread', ['plug'], ['residue'], 0.03),
	mark('cotterBroken', 'Cotter pin broken', ['cotterPin'], ['broken'], 0.01),
	mark('washerKept', 'Crushed or nicked washer was kept', joints, ['crushed', 'nick', 'worn'], 0.02, { seen: 'kept' }),
	mark(
		'dampingLost',
		'Damping washer or flat ring missing or worn',
		['washer', 'conicalWasher'],
		['missing', 'worn'],
		0.02
	),
	mark('clampLost', 'Shim that clamps the cylinder lost or crushed', ['shim'], ['missing', 'crushed'], 0.01),
	mark('jointBlown', 'Gasket or flat seal blown across', ['gasket'], ['blownAcross'], 0.02),
	mark(
		'pryMark',
		'Pry mark or residue on a sealing face',
		['bore', 'manifold', 'gasket', 'cover'],
		['pryMark', 'residue', 'scoredBore'],
		0.02
	),
	mark('ceramicCracked', 'Ceramic cracked without scores', ['plunger', 'sleeve', 'cylinder'], ['crack', 'chip'], 0.02),
	mark(
		'lowSealWorn',
		'Low-pressure seal worn or weeping',
		['lipSeal'],
		['lipFlat', 'insideWear', 'outsideWear', 'lipTorn', 'hardened'],
		0.08,
		{
			only: lowPressure
		}
	),
	mark(
		'slingerBad',
		'Slinger missing, split or swollen',
		['slinger'],
		['missing', 'split', 'lostShape', 'swollen'],
		0.02
	),
	mark('wickDry', 'Wick dry, dirty or not in the oil', ['wick'], ['missing', 'soiled', 'hardened', 'reversed'], 0.03),
	mark(
		'oilSealBad',
		'Oil seal worn or weeping',
		['oilSeal'],
		['lipFlat', 'weeping', 'swollen', 'hardened', 'lipTorn'],
		0.06
	),
	mark('oilMilky', 'Water in the oil', ['oilPan', 'oilSeal'], ['milkyOil'], 0.01),
	mark('oilMetal', 'Metal in the oil', ['oilPan', 'oilSeal', 'crossheadBore'], ['metalInOil'], 0.01),
	mark('driveWorn', 'Crosshead bore scored or worn', ['crossheadBore'], ['scoredBore', 'worn'], 0.02),
	mark('rodRusted', 'Rod rusted or grooved', ['rod'], ['corrosion', 'grooveWorn', 'pitted'], 0.02),
	mark(
		'regulatorWorn',
		'Regulator seat or stem worn',
		['regulatorSeat', 'regulatorStem'],
		['rounded', 'bevelled', 'wireDrawn', 'pitted'],
		0.05
	),
	mark('blockedPassage', 'Crossover, drain or weep blocked', ['manifold', 'sealCase', 'bore'], ['blocked'], 0.01),
	mark('headWarped', 'Head or manifold warped', ['manifold', 'cover', 'valvePlate'], ['warped'], 0.02),
	mark('headCracked', 'Head or manifold cracked', ['manifold', 'cover'], ['crack'], 0.01),
	mark('portEroded', 'Port worn or washed out', ['manifold', 'valvePlate'], ['erodedPort'], 0.02),
	mark('ropesAligned', 'Joints of the rope rings in line', ['ropePacking'], ['jointsAligned'], 0.01),
	mark(
		'cylinderRubbed',
		'Piston has touched the cylinder',
		['piston', 'cylinder'],
		['touchingCylinder', 'scoredBore'],
		0.02
	),
	{ by: 'duty', key: 'hotDuty', name: 'Runs hot', what: 'hot', from: 60, backgroundRate: 0.1, minutes: 1 },
	{
		by: 'duty',
		key: 'hardDuty',
		name: 'Runs above its rated pressure',
		what: 'highPressure',
		from: 1,
		backgroundRate: 0.05,
		minutes: 1
	},
	{
		by: 'duty',
		key: 'fastDuty',
		name: 'Runs above its rated speed',
		what: 'fast',
		from: 1,
		backgroundRate: 0.05,
		minutes: 1
	},
	{ by: 'rig', key: 'rigAir', name: 'Air in the suction by the rig', what: 'air', backgroundRate: 0.03, minutes: 10 },
	{
		by: 'rig',
		key: 'rigInlet',
		name: 'Inlet valve or packing leaks by the rig',
		what: 'inlet',
		backgroundRate: 0.05,
		minutes: 10
	},
	{
		by: 'rig',
		key: 'rigDischarge',
		name: 'Discharge valve leaks by the rig',
		what: 'discharge',
		backgroundRate: 0.05,
		minutes: 10
	}
];

type Links = Readonly<Record<string, number>>;
// What one assembly did wrong is undone by the next, unless a habit does it again; an incident is over; suction and speed change with
// the season and the work; what wore out is renewed.
const endsByItself: Readonly<Record<string, number>> = {
	...{
		pinched: 0.9,
		mixedUp: 0.9,
		overTightened: 0.9,
		workedLoose: 0.9,
		dirtyFace: 0.9,
		foreignBody: 0.9,
		badLot: 0.9,
		wornOut: 0.9
	},
	...{ froze: 0.9, thermalShock: 0.6, ranDry: 0.6, airInSuction: 0.4, tooFast: 0.3, overPressure: 0.2 }
};
const PRIOR_WEIGHT = 10; // confirmed cases that a starting strength is worth
const cause = (
	key: string,
	name: string,
	on: Cause['on'],
	kind: Cause['kind'],
	phase: Cause['phase'],
	[prior, per1000h]: readonly [number, number],
	links: Links,
	remedy: string
): Cause => ({
	key,
	name,
	on,
	kind,
	phase,
	prior,
	per1000h,
	endsByItself: endsByItself[key] ?? 0,
	links: Object.entries(links).map(([finding, strength]) => ({ finding, strength, priorWeight: PRIOR_WEIGHT })),
	remedy
});

const causes: Cause[] = [
	cause('ranDry', 'Ran dry or starved', 'pump', 'service', 'any', [0.04, 0.01], { sealHot: 0.7, plungerHot: 0.5, ceramicCracked: 0.2 }, 'Check supply, inlet filter and shut-off; ask how it was run.'),
	cause('airInSuction', 'Cavitation, air in the suction', 'pump', 'service', 'any', [0.05, 0.02], { inletPitted: 0.75, plungerPitted: 0.35, seatHammered: 0.25, rigAir: 0.7 }, 'Tighten the suction line, clean its filter, lower the lift, look at the season.'),
	cause('solids', 'Solids in the fluid', 'pump', 'service', 'any', [0.05, 0.02], { plungerScored: 0.75, sealGrit: 0.75, seatWireDrawn: 0.45, valveFaceWorn: 0.3, portEroded: 0.4, regulatorWorn: 0.3, rigInlet: 0.2 }, 'Find out where the filter is bypassed or torn; renew it.'),
	cause('overPressure', 'Over-pressure, pressure spikes', 'pump', 'service', 'any', [0.03, 0.01], { ringNibbled: 0.6, sealExtruded: 0.65, valveBroken: 0.3, springShort: 0.2, headWarped: 0.3, portEroded: 0.25, valveFaceWorn: 0.2, hardDuty: 0.5 }, 'Check the regulator and relief valve; fit a damper.'),
	cause('tooHot', 'Fluid too hot', 'pump', 'service', 'late', [0.03, 0.01], { sealHard: 0.7, ringHard: 0.65, sealHot: 0.3, hotDuty: 0.8 }, 'Lower the temperature, shorten the bypass, or fit seals for hot fluid.'),
	cause('attacks', 'Fluid attacks the material', 'pump', 'service', 'any', [0.03, 0.01], { sealSwollen: 0.7, ringSwollen: 0.7, springCorroded: 0.45, slingerBad: 0.2 }, 'Ask what is pumped and cleaned with; change the compound.'),
	cause('thermalShock', 'Thermal shock', 'pump', 'service', 'any', [0.02, 0.01], { ceramicCracked: 0.75 }, 'Warm up and cool down slowly; no cold water into a hot pump.'),
	cause('froze', 'Froze', 'pump', 'service', 'any', [0.01, 0.005], { headCracked: 0.7, headWarped: 0.2, ceramicCracked: 0.3 }, 'Drain or protect against frost.'),
	cause('tooFast', 'Too fast for its suction', 'pump', 'service', 'any', [0.03, 0.01], { seatHammered: 0.6, inletPitted: 0.4, sealHot: 0.25, fastDuty: 0.7 }, 'Slow it down, or feed it better.'),
	cause('headOutOfLine', 'Head or guides out of line', 'pump', 'assembly', 'any', [0.02, 0.005], { sealOneSided: 0.6, plungerOneSided: 0.6, sameSide: 0.7, ceramicCracked: 0.25 }, 'Measure how the head sits; look for a burr or a missing dowel.'),
	cause('badLot', 'Bad lot of parts', 'pump', 'assembly', 'early', [0.03, 0.01], { springEarly: 0.6, springShort: 0.5, ringHard: 0.2, sealEarly: 0.2 }, 'Compare with other pumps that had the lot; put it aside.'),
	cause('rodOutOfLine', 'Rod or crosshead out of line', 'cylinder', 'service', 'late', [0.02, 0.005], { sealOneSided: 0.8, plungerOneSided: 0.7, runout: 0.85, oilMetal: 0.3, oilSealBad: 0.2, driveWorn: 0.3, sealEarly: 0.3 }, 'Measure runout at the rod; put the crosshead or bearing right.'),
	cause('pinched', 'Ring cut or pinched when assembled', 'cylinder', 'assembly', 'early', [0.03, 0.01], { ringPinched: 0.7, ringCut: 0.5 }, 'Grease the ring, use the sleeve, look before the head goes on.'),
	cause('mixedUp', 'Part reversed, mixed up or of the wrong revision', 'cylinder', 'assembly', 'early', [0.02, 0.005], { foundWrong: 0.85, sealEarly: 0.3, springShort: 0.15, wrongPart: 0.5, dampingLost: 0.15, clampLost: 0.1, wickDry: 0.15, ropesAligned: 0.3 }, 'Lay the stack out in order; compare with the drawing.'),
	cause('sideLoaded', 'Head pulled on or off askew', 'pump', 'assembly', 'early', [0.02, 0.005], { ceramicCracked: 0.4 }, 'Two blades opposite each other, the weight held, pulled straight; plungers level before it goes on.'),
	cause('overTightened', 'Over-tightened', 'cylinder', 'assembly', 'early', [0.02, 0.005], { crushed: 0.7, ceramicCracked: 0.4, threadHurt: 0.4, headWarped: 0.15 }, 'Torque by wrench and in passes.'),
	cause('workedLoose', 'Under-tightened, worked loose', 'cylinder', 'assembly', 'any', [0.02, 0.01], { loose: 0.7, ringNibbled: 0.3, seatHammered: 0.15, jointBlown: 0.3, cotterBroken: 0.3, clampLost: 0.15 }, 'Torque by wrench; renew what locks it.'),
	cause('dirtyFace', 'Dirty or scratched sealing face at assembly', 'cylinder', 'assembly', 'early', [0.02, 0.005], { pryMark: 0.7, sealEarly: 0.25, runningFaceScarred: 0.3, threadSoiled: 0.3 }, 'Clean and look at the face before the seal goes in; no blades.'),
	cause('waterPastSlinger', 'Water past the slinger', 'cylinder', 'service', 'any', [0.02, 0.01], { slingerBad: 0.6, oilMilky: 0.6, rodRusted: 0.5, oilSealBad: 0.4 }, 'Renew the low-pressure seal and slinger; change the oil.'),
	cause('valveHammer', 'Weak or wrong valve spring, valve hammer', 'cylinder', 'service', 'any', [0.03, 0.02], { seatHammered: 0.6, springShort: 0.5, valveBroken: 0.4, valveGuideWorn: 0.25, rigDischarge: 0.2, rigInlet: 0.2 }, 'Measure the springs; fit the right ones.'),
	cause('foreignBody', 'Foreign body', 'cylinder', 'service', 'any', [0.02, 0.01], { valveNicked: 0.75 }, 'Look for where it came from; flush the lines.'),
	cause('blocked', 'Blocked crossover, drain or weep', 'cylinder', 'service', 'any', [0.01, 0.005], { blockedPassage: 0.85, lowSealWorn: 0.5, wickDry: 0.2 }, 'Clear the passage.'),
	cause('wornMate', 'Worn mate kept', 'cylinder', 'assembly', 'early', [0.05, 0.02], { plungerScoredKept: 0.75, sealTorn: 0.6, sealEarly: 0.6, valveFaceWorn: 0.15, seatWornKept: 0.4, depositKept: 0.3, springStretchedKept: 0.2, washerKept: 0.2 }, 'Renew the plunger with its packing, the seat with its valve.'),
	cause('wornOut', 'Ordinary end of life', 'cylinder', 'age', 'late', [0.3, 0.15], { sealWornFlat: 0.6, ringHard: 0.3, springShort: 0.15, valveFaceWorn: 0.35, sealHard: 0.2, lowSealWorn: 0.4, oilSealBad: 0.2, valveGuideWorn: 0.2, regulatorWorn: 0.3 }, 'Renew in time; the economic interval says when.')
]; // prettier-ignore

/**
 * The network that a shop begins with: the causes that its trade tells of and the marks they leave, with strengths that are ours and
 * the shop's to correct. Links that are known from handbooks weigh no more than others: ten confirmed cases.
 */
export const startingNetwork: CauseNetwork = {
	version: 1,
	findings,
	causes,
	follows: [
		// Water and the drive end.
		{ from: 'lowSealWorn', to: 'slingerBad', strength: 0.1 },
		{ from: 'lowSealWorn', to: 'oilMilky', strength: 0.15 },
		{ from: 'slingerBad', to: 'oilMilky', strength: 0.3 },
		{ from: 'oilMilky', to: 'oilSealBad', strength: 0.4 },
		{ from: 'oilMilky', to: 'oilMetal', strength: 0.3 },
		{ from: 'oilMetal', to: 'driveWorn', strength: 0.4 },
		{ from: 'wickDry', to: 'lowSealWorn', strength: 0.5 },
		// Running surfaces and what seals on them.
		{ from: 'sealWornFlat', to: 'cylinderRubbed', strength: 0.2 },
		{ from: 'plungerScored', to: 'sealTorn', strength: 0.4 },
		{ from: 'runningFaceScarred', to: 'sealTorn', strength: 0.3 },
		{ from: 'runningFaceScarred', to: 'sealEarly', strength: 0.3 },
		{ from: 'depositKept', to: 'sealTorn', strength: 0.3 },
		{ from: 'ropesAligned', to: 'sealEarly', strength: 0.3 },
		{ from: 'clampLost', to: 'ringNibbled', strength: 0.4 },
		{ from: 'wrongPart', to: 'sealExtruded', strength: 0.2 },
		// Head, joints and threads.
		{ from: 'headWarped', to: 'jointBlown', strength: 0.3 },
		{ from: 'headWarped', to: 'valveFaceWorn', strength: 0.2 },
		{ from: 'pryMark', to: 'jointBlown', strength: 0.3 },
		{ from: 'threadSoiled', to: 'threadHurt', strength: 0.3 },
		{ from: 'washerKept', to: 'loose', strength: 0.3 },
		{ from: 'cotterBroken', to: 'loose', strength: 0.5 },
		{ from: 'loose', to: 'ceramicCracked', strength: 0.2 },
		// Valves and springs.
		{ from: 'wrongPart', to: 'seatHammered', strength: 0.2 },
		{ from: 'springStretchedKept', to: 'springEarly', strength: 0.4 },
		{ from: 'springShort', to: 'seatHammered', strength: 0.3 },
		{ from: 'seatHammered', to: 'valveBroken', strength: 0.3 },
		{ from: 'springShort', to: 'valveNicked', strength: 0.1 },
		{ from: 'valveBroken', to: 'valveNicked', strength: 0.5 },
		{ from: 'valveGuideWorn', to: 'valveFaceWorn', strength: 0.4 },
		{ from: 'seatWornKept', to: 'valveFaceWorn', strength: 0.4 },
		{ from: 'dampingLost', to: 'seatHammered', strength: 0.2 },
		{ from: 'regulatorWorn', to: 'ringNibbled', strength: 0.1 }
	]
};

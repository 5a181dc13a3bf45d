/** What a sheet of a layout has to say, copied by hand from the layouts and not from the sheets. */
export interface LayoutFacts {
	/** What has to be in before what, "a < b < c", by the scopes in which it holds. */
	readonly before: Readonly<Record<string, string>>;
	/** What is joined on the bench before it goes in: "a + b", in the order in which it is joined. */
	readonly joined: string;
	/** How a side points for the person who loads the part: up or down on the bench, away on the mounted pump. By scope and station. */
	readonly loaded: string;
	/** Everything threaded. */
	readonly tightened: string;
	/** Which caution stands at which step: the step, and a word that it says. */
	readonly cautions: string;
	/** Where an answer leads: step, answer, and a finding, a hold or the question of the unit. */
	readonly answers: string;
	/** Which parts' sizes belong together. */
	readonly sizes: string;
}

const SEAL_STACK = 'supportRing < highPressureSeal < frontGuide < rearGuide < head < headBolts';
const CAPPED_VALVES = 'inletValveORing < inletValve < valveCap\ndischargeValveORing < dischargeValve < valveCap';
const OIL = 'oil milky: milkyOil\noil metal in it: metalInOil';

export const layoutFacts: Readonly<Record<string, LayoutFacts>> = {
	L1: {
		before: {
			'packing plunger full': `
				maleAdapter < packing < femaleAdapter < sealCase < lowPressureSeal < manifold < headNuts
				caseORing < lowPressureSeal
				retainerGasket < retainerORing < retainerBackup < plunger < plungerRetainer < sealRetainer < oilPan < manifold
				wick < oilPan`,
			'plunger full': 'slinger < keyholeWasher < collar < plunger',
			'valves full': 'inletSeat < inletValve < inletSpring\ndischargeSeat < dischargeValve < dischargeSpring'
		},
		joined: 'sealCase + caseORing\nsealRetainer + wick',
		loaded: `
			packing packing down
			packing lowPressureSeal down
			packing maleAdapter down
			packing femaleAdapter down
			packing sealCase down`,
		tightened: 'headNuts sealCase plungerRetainer',
		cautions: `
			lowPressureOut scratch
			lowPressureOut own wrench
			lowPressureOut pick
			retainers part way
			manifoldOff weight
			ringsFirst break
			packingsIn wrong way round`,
		answers: OIL,
		sizes: 'packing plunger\nlowPressureSeal plunger\nmaleAdapter plunger\nfemaleAdapter plunger'
	},
	L2: {
		before: {
			'packing plunger full': `
				maleAdapter < highPressureSeal < sealCase < lowPressureSeal < manifold < screws
				caseORing < lowPressureSeal
				sealRetainer < manifold`,
			'plunger full': 'plunger < sealRetainer\nretainerGasket < sealRetainer\nslinger < sealRetainer'
		},
		joined: 'sealCase + caseORing\nplungerRetainer + retainerGasket + plunger + slinger',
		loaded: 'packing highPressureSeal down\npacking lowPressureSeal down\npacking maleAdapter down',
		tightened: 'screws plungerRetainer',
		cautions: 'sealsOut second step\nsealsOut scratch\nsealsOut mark\nplungersOff brittle\nlevel tilt',
		answers: OIL,
		sizes: 'highPressureSeal plunger\nlowPressureSeal plunger\nmaleAdapter plunger'
	},
	L3: {
		before: {
			'packing valves full':
				'plunger < inletValve < inletSpacer < inletSpring < conicalWasher < slottedNut < cotterPin\nsealRetainer < inletManifold < screws',
			'valves full': 'springRetainer < dischargeSpring < dischargeValve < dischargeSeat < dischargeManifold',
			valves: 'cotterPin < inletManifold\ncotterPin < dischargeManifold\ndischargeAdapter < screws',
			'packing full': `
				lowPressureSeal < inletManifold < plunger
				cotterPin < highPressureSeal < dischargeAdapter < dischargeManifold < screws
				highPressureSeal < adapterORingP
				highPressureSeal < adapterORingC`
		},
		joined: 'dischargeAdapter + adapterORingP + adapterORingC',
		loaded: 'packing lowPressureSeal down\npacking highPressureSeal awayFromYou',
		tightened: 'screws slottedNut',
		cautions: `
			rodStacks Cut pieces
			rodStacks curves
			sealsOut notch
			headSplit one manifold or the other
			headOff side load
			adaptersIn pinched
			plungersIn loose`,
		answers: '',
		sizes: 'lowPressureSeal rodLand\nhighPressureSeal plunger'
	},
	L4: {
		before: {
			'packing plunger full': `
				inletValve < pistonSpacer < piston < pistonRetainer < conicalWasher < rodNut < cotterPin < cylinder
				cup < pistonRetainer
				cylinderBolts < cylinder < dischargeManifold < studNuts
				cylinderORing < dischargeManifold`,
			'plunger full': `
				slinger < rodORing < rodBackup < rodORingOuter < sleeve < sealRetainer < inletManifold
				lowPressureSeal < inletManifold < studShims < inletValve`,
			'valves full': 'dischargeRetainer < dischargeSpring < dischargeValve < dischargeSeat < dischargeManifold'
		},
		joined: `
			dischargeSeat + seatBackup + seatORing
			piston + cup
			cylinder + cylinderBackup + cylinderORing + cylinderORingSmall`,
		loaded: 'plunger lowPressureSeal down',
		tightened: 'studNuts cylinderBolts rodNut',
		cautions: `
			sleeves No pliers
			cotter Cut pieces
			rodStack curves
			lowSealsOut too small
			ringsIn rod threads
			inletOn low-pressure seals
			discharge from below`,
		answers: 'movement moves: hold',
		sizes: 'lowPressureSeal sleeve\ncup cylinder'
	},
	L5a: {
		before: {
			'packing plunger full': `${SEAL_STACK}\nlowPressureSeal < head`,
			'plunger full': 'slinger < rodORing < piston < copperWasher < pistonNut < head',
			'valves full': CAPPED_VALVES
		},
		joined: 'rearGuide + lowPressureSeal + guideORing',
		loaded: 'packing highPressureSeal down\npacking supportRing down\npacking frontGuide up',
		tightened: 'valveCap headBolts pistonNut',
		cautions:
			'stackOut slip of the pliers\npistonsOff knife\npistonsOff flies off\nstackIn nicked lip\nlevel side load\ncapsOn by hand',
		answers: 'capsOut found: soiled',
		sizes: 'highPressureSeal piston\nlowPressureSeal piston\nrearGuide piston\nfrontGuide piston'
	},
	L5b: {
		before: { 'packing full': `${SEAL_STACK}\nflatSeal < head\ncurvedSeal < head`, 'valves full': CAPPED_VALVES },
		joined: 'rearGuide + guideBackup + flatSeal\nrearGuide + curvedSeal + guideSupport',
		loaded: 'packing highPressureSeal down\npacking supportRing down\npacking frontGuide down',
		tightened: 'valveCap headBolts',
		cautions: 'stackOut Never mix\nstackIn Never mix\nstackOut slip of the pliers\nlevel side load',
		answers:
			'capsOut found: soiled\nplungersSeen cracked: crack\nplungersSeen scored: axialScoring\nguidesSame mixed: hold',
		sizes: 'highPressureSeal plunger\nrearGuide plunger\nfrontGuide plunger'
	},
	L5c: {
		before: {
			'packing plunger full': `${SEAL_STACK}\nlowPressureSeal < head`,
			'plunger full': 'copperPlate < rodORing < plunger < copperWasher < plungerBolt < head',
			'valves full': `${CAPPED_VALVES}\ninletValve < sealCaps < valveCap`
		},
		joined: 'rearGuide + guideBackup + lowPressureSeal + guideORing',
		loaded: 'packing highPressureSeal down\npacking supportRing down\npacking frontGuide down',
		tightened: 'valveCap headBolts plungerBolt',
		cautions: `
			stackOut small blade
			headOff hand
			stackIn by hand
			level air tool
			torqueCaps No air tool
			valvesIn look alike
			plungersOff flies off`,
		answers: 'capsOut found: soiled',
		sizes: 'highPressureSeal plunger\nlowPressureSeal plunger\nrearGuide plunger\nfrontGuide plunger'
	},
	L5r: {
		before: {
			'packing full':
				'supportRing < highPressureSeal < spacer < intermediateRing < sealCarrier < head < headBolts\nlowPressureSeal < head'
		},
		joined: 'sealCarrier + lowPressureSeal + carrierORing',
		loaded: 'packing highPressureSeal down\npacking supportRing down\npacking intermediateRing down',
		tightened: 'headBolts',
		cautions: 'ringsIn sheared\nringsIn nicked\nheadBoltsOn Aluminium\ninletOff pressure',
		answers: 'plungersSeen cracked: crack\nplungersSeen scored: axialScoring',
		sizes: 'highPressureSeal plunger'
	},
	L6a: {
		before: {
			'packing plunger full': `
				inletSpacerORing < femaleAdapter
				inletSpacer < femaleAdapter < packing < maleAdapter < inletManifold < inletFasteners < packingSpring < packingSpacer < dischargeManifold < dischargeScrews
				spacerORing < dischargeManifold
				lowPressureSeal < inletManifold
				sealRetainer < inletManifold
				studsIn < dischargeManifold < sixByHand < dischargeScrews`,
			'plunger full':
				'slinger < keyholeWasher < plunger < plungerRetainer < sealRetainer\nretainerORing < retainerBackup < plungerRetainer'
		},
		joined: 'packingSpacer + spacerBackup + spacerORing\ninletSpacer + inletSpacerORing\nsealRetainer + wick',
		loaded: 'packing lowPressureSeal down\npacking packing up\npacking femaleAdapter down\npacking maleAdapter down',
		tightened: 'dischargeScrews inletFasteners plungerRetainer',
		cautions: `
			screwsOut studs
			dischargeOff hoist
			dischargeOff groove
			turnOver scratched land
			plungersOff part way
			dischargeOn 24 kg
			sixByHand six screws`,
		answers: OIL,
		sizes: 'packing plunger\nlowPressureSeal plunger\nmaleAdapter plunger\nfemaleAdapter plunger'
	},
	L6b: {
		before: {
			'packing plunger full': `
				femaleAdapter < packing < maleAdapter < inletManifold < inletFasteners < packingSpacer < dischargeManifold < dischargeScrews
				inletORing < dischargeManifold
				lowPressureSeal < inletManifold
				sealRetainer < inletManifold`,
			'plunger full':
				'slinger < keyholeWasher < plunger < plungerRetainer < sealRetainer\nretainerORing < retainerBackup < plungerRetainer'
		},
		joined: 'packingSpacer + spacerBackup + spacerORing\nsealRetainer + wick',
		loaded: 'packing lowPressureSeal down\npacking packing up\npacking femaleAdapter down\npacking maleAdapter down',
		tightened: 'dischargeScrews inletFasteners plungerRetainer',
		cautions: `
			dischargeOff hoist
			packingsOut fall out
			packingsOut stay on the plungers
			turnOver stay on its plunger
			plungersOff part way
			dischargeOn 24 kg`,
		answers: OIL,
		sizes: 'packing plunger\nlowPressureSeal plunger\nmaleAdapter plunger\nfemaleAdapter plunger'
	},
	L7a: {
		before: {
			valves: `
				inletSeat < inletPoppet < inletSpring < inletCage < outletSpacer
				seatBackup < seatORing < spacerORing
				outletSeat < outletPoppet < outletSpring < outletCage < valvePlug < plate < plateBolts
				lowerHome < outletSpacer`
		},
		joined:
			'inletSeat + inletPoppet + inletSpring + inletCage\nseatBackup + seatORing + spacerORing\noutletSeat + outletPoppet + outletSpring + outletCage',
		loaded: '',
		tightened: 'plateBolts',
		cautions: 'plugsOut posts\nlowerOut posts\nlowerJoin inlet\nupperJoin outlet\nplateOff weighs',
		answers: '',
		sizes: 'inletPoppet inletSeat\noutletPoppet outletSeat'
	},
	L8: {
		before: {
			'packing plunger full': `
				cornerRing < packingSleeve
				slingerWasher < packingSleeve
				plunger < boltWasher < plungerBolt
				plunger < packingSleeve < crankcaseCover
				pinsIn < halfWay < packingSupport < manifold < pinsOut < manifoldBolts
				supportSpring < packingSupport
				backORing < halfWay
				crossoverRing < halfWay
				lowPressureSeal < headRing < plasticRing < ropes < plasticWasher < stainlessWasher < packingSupport`,
			'valves full': `
				inletBackup < inletORing < inletSeat
				inletSeat < inletValve < inletGuide < inletSpring < inletCage < inletPinsIn < inletPlate < inletPlateBolts
				plateRing < outletBackup < outletORing < outletSeat
				outletSeat < outletValve < outletGuide < outletSpring < outletCage < outletPinsIn < outletPlate < outletPlateBolts`
		},
		joined: `
			lowPressureSeal + headRing + plasticRing + ropes + plasticWasher + stainlessWasher
			inletSeat + inletValve + inletGuide + inletSpring + inletCage
			outletSeat + outletValve + outletGuide + outletSpring + outletCage`,
		loaded: '',
		tightened: 'manifoldBolts plungerBolt crankcaseCover inletPlateBolts outletPlateBolts',
		cautions: `
			manifoldOff Springs fall
			sleeveOut straight
			ropes which way
			ropes seal face
			inletPlateOff drops
			outletPlateOff drops
			valvesOut posts
			outletOut collet
			ringsIn falls out
			unitJoin line up
			pinsOut hold`,
		answers: `${OIL}\ncrossover blocked: blocked\nhalfWay blocked: hold`,
		sizes: 'ropes plunger\ninletValve inletSeat\noutletValve outletSeat'
	},
	L9: {
		before: {
			'valves full': `
				outletDamper < outletSeat < outletValve < outletSpring < outletFlatRing < outletRetainer < valvePlate
				inletRetainer < inletFlatRing < inletSpring < inletValve < inletSeat < inletDamper < valvePlate`,
			'valves diaphragm full': 'valvePlate < plateScrews < manifold < headBolts',
			'diaphragm full': 'diaphragm < reprime < valvePlate'
		},
		joined: 'outletSeat + outletSeatORing\ninletSeat + inletSeatORing',
		loaded: '',
		tightened: 'centreBolt headBolts plateScrews',
		cautions: `
			scopeHead hydraulic end
			manifoldOff Plastic cracks
			plateOff straight edge
			tagSeats tag
			tagSeats stretch
			tagSeats ridge
			dampers lost
			outletIn no leg`,
		answers: 'hydraulicShut opened: unit',
		sizes: 'outletValve outletSeat\ninletValve inletSeat'
	},
	L10: {
		before: {
			'valves full': `
				top2Seat < top2Cage < top2Spring < top1Seat < top1Cage < top1Spring < topPlug < topCover < head
				bottom2Seat < bottom2Cage < bottom2Spring < bottom1Seat < bottom1Cage < bottom1Spring < bottomPlug < bottomCover < head`,
			'valves drive full': 'gasketBottom < cylinder < gasketTop < head < headBolts',
			'regulator full': `
				regGasket < regSleeve < regPacking < regStemWasher < regStemSeat < regRod < regSpringSmall < regSpringLarge < regWasher < regCover < regCoverBolts < regSetScrew
				regSeat < regPipe`,
			'drive full': 'oilSeal < oilIn'
		},
		joined: `
			top1Seat + top1SeatORing
			top2Seat + top2SeatORing
			bottom1Seat + bottom1SeatORing
			bottom2Seat + bottom2SeatORing
			topPlug + topPlugRing
			bottomPlug + bottomPlugRing`,
		loaded: '',
		tightened: 'headBolts topCover bottomCover regCoverBolts regSetScrew regStemSeat regHandle regPipe',
		cautions: `
			head slide
			tiers Rust
			tiers large blade
			tiers shattered
			regulator chiselled
			regulator setting is lost
			regulator cover holds
			topTiersIn Dry
			topTiersIn outward
			cylindersIn bare metal
			headDown crooked
			regulatorIn crush
			regulatorShut forgotten`,
		answers: `${OIL}\ndriveEnd metal: metalInOil`,
		sizes: 'regRod regSeat'
	},
	L11: {
		before: {
			drive: `
				oilSeal < sealsIn < slinger < splitWasher < sealRetainer < plunger < head < headBolts
				plungerBolt < head
				oilSeal < oilFilled
				turned < endCap`
		},
		joined: 'plungerBolt + boltWasher + plunger',
		loaded: '',
		tightened: 'headBolts plungerBolt',
		cautions: `
			oilSealsOut scratch
			headOff Side load
			behindOn forgotten
			behindOn swapped
			plungersOn snaps
			capOff fingers`,
		answers: `${OIL}\noilSealsOut debris: soiled\noilSealsOut metal: metalInOil`,
		sizes: 'sealPocket rodTrack'
	}
};

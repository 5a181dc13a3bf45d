/**
 * The stacks of the layouts, copied by hand: the stations in the order in which they come out, whether there is one for the pump or
 * one for each cylinder, which way each faces once it is in (P, C, against its mate, either way, or not stated), how it is renewed,
 * and how many pieces it has. Each demo sheet of a layout is held against it, line by line.
 */
export const layoutTable: Readonly<Record<string, string>> = {
	L1: `
		headNuts pump either sheet x4
		manifold pump C inspect
		lowPressureSeal cylinder P kit
		sealCase cylinder P inspect
		caseORing cylinder either kit
		femaleAdapter cylinder P inspect
		packing cylinder P kit x2
		maleAdapter cylinder P sheet
		packingBore cylinder either inspect
		oilPan pump either inspect
		sealRetainer cylinder mate inspect
		wick cylinder mate inspect
		plungerRetainer cylinder mate inspect
		retainerBackup cylinder C inspect
		retainerORing cylinder P kit
		retainerGasket cylinder either always
		plunger cylinder mate inspect
		collar cylinder notStated inspect
		keyholeWasher cylinder either inspect
		slinger cylinder P inspect
		inletSpring cylinder either inspect
		inletValve cylinder mate inspect
		inletSeat cylinder mate inspect
		dischargeSpring cylinder either inspect
		dischargeValve cylinder mate inspect
		dischargeSeat cylinder mate inspect
	`,
	L2: `
		screws pump either sheet x8
		manifold pump C inspect
		lowPressureSeal cylinder P kit
		sealCase cylinder P inspect
		caseORing cylinder either kit
		highPressureSeal cylinder P kit
		maleAdapter cylinder P inspect
		oil pump either sheet
		sealRetainer cylinder mate inspect
		plungerRetainer cylinder mate inspect
		retainerGasket cylinder either kit
		plunger cylinder C inspect
		slinger cylinder notStated inspect
	`,
	L3: `
		screws pump either sheet x6
		inletManifold pump C inspect
		dischargeManifold pump C inspect
		dischargeAdapter cylinder P inspect
		adapterORingP cylinder either kit
		adapterORingC cylinder either kit
		dischargeSeat cylinder mate inspectOrKit
		dischargeValve cylinder mate inspectOrKit
		dischargeSpring cylinder either inspectOrKit
		springRetainer cylinder P inspectOrKit
		cotterPin cylinder either always
		slottedNut cylinder either inspect
		conicalWasher cylinder C inspect
		inletSpring cylinder either inspectOrKit
		inletSpacer cylinder mate inspectOrKit
		inletValve cylinder C inspectOrKit
		plunger cylinder P inspect
		highPressureSeal cylinder C kit
		lowPressureSeal cylinder P kit
		sealRetainer cylinder notStated inspect
		rodLand cylinder either inspect
	`,
	L4: `
		studNuts pump either sheet x4
		dischargeManifold pump C inspect
		cylinder cylinder P inspect
		cylinderBackup cylinder C kit
		cylinderORing cylinder P kit
		cylinderORingSmall cylinder either kit
		dischargeSeat cylinder mate inspectOrKit
		seatORing cylinder P inspectOrKit
		seatBackup cylinder C inspectOrKit
		dischargeValve cylinder mate inspectOrKit
		dischargeSpring cylinder either inspectOrKit
		dischargeRetainer cylinder mate inspectOrKit
		cylinderBolts pump either sheet x4
		cotterPin cylinder either always
		rodNut cylinder either inspect
		conicalWasher cylinder C inspect
		pistonRetainer cylinder mate inspect
		cup cylinder P kit
		piston cylinder C inspect
		pistonSpacer cylinder notStated inspect
		inletValve cylinder P inspectOrKit
		studShims pump either inspect x4
		inletManifold pump C inspect
		lowPressureSeal cylinder P kit
		sealRetainer cylinder P inspect
		sleeve cylinder C inspect
		rodORingOuter cylinder either kit
		rodBackup cylinder mate kit
		rodORing cylinder either kit
		slinger cylinder P inspect
	`,
	L5a: `
		valveCap cylinder either sheet x2
		inletValve cylinder mate kit
		dischargeValve cylinder mate kit
		inletValveORing cylinder either inspect
		dischargeValveORing cylinder either inspect
		headBolts pump either sheet x8
		head pump C inspect
		rearGuide cylinder notStated kit
		guideORing cylinder either kit
		lowPressureSeal cylinder notStated kit
		frontGuide cylinder C kit
		highPressureSeal cylinder P kit
		supportRing cylinder P sheet
		pistonNut cylinder either inspect
		copperWasher cylinder either always x2
		piston cylinder notStated inspect
		rodORing cylinder either kit
		slinger cylinder notStated kit
	`,
	L5b: `
		valveCap cylinder either sheet x2
		inletValve cylinder mate kit
		dischargeValve cylinder mate kit
		inletValveORing cylinder either kit
		dischargeValveORing cylinder either kit
		headBolts pump either sheet x8
		head pump C inspect
		rearGuide cylinder notStated sheet
		guideORing cylinder either kit
		guideBackup cylinder mate kit
		flatSeal cylinder mate kit
		curvedSeal cylinder mate kit
		guideSupport cylinder mate kit
		frontGuide cylinder P sheet
		highPressureSeal cylinder P kit
		supportRing cylinder P sheet
		plunger cylinder notStated inspect
	`,
	L5c: `
		valveCap cylinder either sheet x2
		inletValve cylinder mate kit
		dischargeValve cylinder mate kit
		inletValveORing cylinder either sheet
		dischargeValveORing cylinder either sheet
		headBolts pump either sheet x8
		head pump C inspect
		rearGuide cylinder notStated sheet
		guideORing cylinder either kit
		guideBackup cylinder notStated kit
		lowPressureSeal cylinder mate kit
		frontGuide cylinder P sheet
		highPressureSeal cylinder P kit
		supportRing cylinder P sheet
		plungerBolt cylinder either inspect
		copperWasher cylinder either inspect
		plunger cylinder notStated inspect
		rodORing cylinder either sheet
		copperPlate cylinder notStated inspect
	`,
	L5r: `
		waterInlet pump either inspect
		headBolts pump either inspect x8
		head pump C inspect
		sealCarrier cylinder notStated inspect
		lowPressureSeal cylinder mate kit
		carrierORing cylinder either kit
		intermediateRing cylinder P inspect
		spacer cylinder notStated inspect
		highPressureSeal cylinder P kit
		supportRing cylinder P inspect
		plunger cylinder notStated inspect
	`,
	L6a: `
		dischargeScrews pump either inspect x8
		dischargeManifold pump C inspect
		packingSpacer cylinder notStated inspect
		spacerORing cylinder either kit
		spacerBackup cylinder notStated kit
		packingSpring cylinder either inspect
		inletFasteners pump either inspect x6
		inletManifold pump C inspect
		maleAdapter cylinder C inspect
		packing cylinder P kit x2
		femaleAdapter cylinder C inspect
		inletSpacer cylinder notStated inspect
		inletSpacerORing cylinder either kit
		lowPressureSeal cylinder P kit
		oil pump either sheet
		sealRetainer cylinder notStated inspect
		wick cylinder mate inspect
		plungerRetainer cylinder mate inspect
		retainerBackup cylinder notStated kit
		retainerORing cylinder either kit
		plunger cylinder notStated inspect
		keyholeWasher cylinder either inspect
		slinger cylinder notStated inspect
	`,
	L6b: `
		dischargeScrews pump either inspect x8
		dischargeManifold pump C inspect
		packingSpacer cylinder P inspect
		spacerORing cylinder either kit
		spacerBackup cylinder notStated kit
		inletORing cylinder either inspectOrKit
		inletFasteners pump either inspect x4
		inletManifold pump C inspect
		maleAdapter cylinder C inspect
		packing cylinder P kit x2
		femaleAdapter cylinder C inspect
		lowPressureSeal cylinder P kit
		oil pump either sheet
		sealRetainer cylinder notStated inspect
		wick cylinder mate inspect
		plungerRetainer cylinder mate inspect
		retainerBackup cylinder notStated kit
		retainerORing cylinder either kit
		plunger cylinder notStated inspect
		keyholeWasher cylinder either inspect
		slinger cylinder P inspect
	`,
	L7a: `
		plateBolts pump either inspect x8
		plate pump notStated inspect
		valvePlug cylinder notStated sheet
		plugORing cylinder either sheet
		plugBackup cylinder notStated sheet
		outletCage cylinder mate inspect
		outletSpring cylinder either inspect
		outletPoppet cylinder mate inspect
		outletSeat cylinder mate inspect
		seatBackup cylinder C inspect
		seatORing cylinder P inspect
		outletSpacer cylinder notStated inspect
		spacerORing cylinder either inspect
		inletCage cylinder mate inspect
		inletSpring cylinder either inspect
		inletPoppet cylinder mate inspect
		inletSeat cylinder mate inspect
	`,
	L8: `
		manifoldBolts pump either inspect x8
		manifold pump C inspect
		packingSupport cylinder notStated inspect
		supportSpring cylinder either inspect
		spacerPlate cylinder notStated inspect
		backORing pump either inspect
		crossoverRing pump either inspect
		oil pump either sheet
		plungerBolt cylinder either inspect
		boltWasher cylinder either always
		plunger cylinder notStated inspect
		crankcaseCover pump notStated inspect
		packingSleeve cylinder notStated inspect
		slingerWasher cylinder notStated inspect
		cornerRing cylinder either inspectOrKit
		lowPressureSeal cylinder notStated sheet
		headRing cylinder notStated sheet
		plasticRing cylinder notStated sheet
		ropes cylinder notStated sheet x3
		plasticWasher cylinder notStated sheet
		stainlessWasher cylinder notStated sheet
		inletPlateBolts pump either inspect x8
		inletPlate pump notStated inspect
		inletCage cylinder mate inspect
		inletSpring cylinder either inspect
		inletGuide cylinder mate inspect
		inletValve cylinder mate inspect
		inletSeat cylinder mate inspect
		inletORing cylinder P inspect
		inletBackup cylinder C inspect
		outletPlateBolts pump either inspect x8
		outletPlate pump notStated inspect
		outletCage cylinder mate inspect
		outletSpring cylinder either inspect
		outletGuide cylinder mate inspect
		outletValve cylinder mate inspect
		outletSeat cylinder mate inspect
		plateRing pump either inspect
		outletORing cylinder P inspect
		outletBackup cylinder C inspect
		valveBore cylinder either inspect
	`,
	L9: `
		centreBolt pump either inspect
		headBolts pump either inspect x10
		manifold pump C inspect
		supportPlate pump notStated inspect
		plateScrews pump either inspect x3
		valvePlate pump notStated inspect
		outletRetainer cylinder notStated inspect
		outletFlatRing cylinder either inspect
		outletSpring cylinder either inspect
		outletValve cylinder mate inspect
		outletSeat cylinder mate inspect
		outletSeatORing cylinder either inspectOrKit
		outletDamper cylinder notStated inspect
		inletDamper cylinder notStated inspect
		inletSeat cylinder mate inspect
		inletSeatORing cylinder either inspectOrKit
		inletValve cylinder mate inspect
		inletSpring cylinder either inspect
		inletFlatRing cylinder either inspect
		inletRetainer cylinder notStated inspect
		ports cylinder either inspect
		diaphragm cylinder notStated inspectOrKit
	`,
	L10: `
		suctionHose pump either inspect x3
		headBolts pump either inspect x4
		head pump C inspect
		topCover pump notStated inspect
		topPlug cylinder notStated inspect
		topPlugRing cylinder either kit
		top1Spring cylinder mate kit
		top1Cage cylinder notStated inspect
		top1Seat cylinder notStated kit
		top1SeatORing cylinder either kit
		top2Spring cylinder mate kit
		top2Cage cylinder notStated inspect
		top2Seat cylinder notStated kit
		top2SeatORing cylinder either kit
		bottomCover pump notStated inspect
		bottomPlug cylinder notStated inspect
		bottomPlugRing cylinder either kit
		bottom1Spring cylinder mate kit
		bottom1Cage cylinder notStated inspect
		bottom1Seat cylinder notStated kit
		bottom1SeatORing cylinder either kit
		bottom2Spring cylinder mate kit
		bottom2Cage cylinder notStated inspect
		bottom2Seat cylinder notStated kit
		bottom2SeatORing cylinder either kit
		gasketTop cylinder either kit
		cylinder cylinder notStated inspect
		gasketBottom cylinder either kit
		regHandle pump either inspect
		regCoverBolts pump either inspect x3
		regCover pump notStated inspect
		regWasher pump notStated inspect
		regSpringLarge pump either inspect
		regSpringSmall pump either inspect
		regRod pump notStated inspect
		regSetScrew pump either inspect
		regStemSeat pump notStated kit
		regStemWasher pump notStated inspect
		regPacking pump notStated inspect
		regSleeve pump notStated inspect
		regGasket pump either kit
		regPipe pump either inspect
		regSeat pump mate kit
		oilSeal cylinder notStated always
		rod cylinder either inspect
		crossheadBore cylinder either inspect
		oil pump either sheet
	`,
	L11: `
		endCap pump notStated inspect
		headBolts pump either inspect x8
		head pump C inspect
		plungerBolt cylinder either inspect
		boltWasher cylinder notStated inspect
		plunger cylinder notStated inspect
		rubberRing cylinder either inspect
		sealRetainer cylinder notStated inspect
		splitWasher cylinder notStated inspect
		slinger cylinder notStated inspect
		oilSeal cylinder notStated always
		sealPocket cylinder either inspect
		rodTrack cylinder either inspect
		oil pump either sheet
	`
};

/**
 * The stacks of the layouts, copied by hand: the stations in the order in which they come out, whether there is one for the pump or
 * one for each cylinder, which way each faces on refit (P, C, against its mate, either way, or the maker's to say), and how it is
 * renewed. Each demo sheet of a layout that stands here is held against it, line by line.
 */
export const layoutTable: Readonly<Record<string, string>> = {
	L1: `
		headNuts pump any sheet
		manifold pump any inspect
		lowPressureSeal cylinder P kit
		sealCase cylinder P inspect
		caseORing cylinder any kit
		femaleAdapter cylinder P inspect
		packing cylinder P kit
		maleAdapter cylinder P sheet
		packingBore cylinder any inspect
		oilPan pump any inspect
		sealRetainer cylinder mate inspect
		wick cylinder mate inspect
		plungerRetainer cylinder mate inspect
		retainerBackup cylinder C inspect
		retainerORing cylinder P kit
		retainerGasket cylinder any always
		plunger cylinder mate inspect
		collar cylinder sheet inspect
		keyholeWasher cylinder any inspect
		slinger cylinder P inspect
		inletSpring cylinder mate inspect
		inletValve cylinder mate inspect
		inletSeat cylinder mate inspect
		dischargeSpring cylinder mate inspect
		dischargeValve cylinder mate inspect
		dischargeSeat cylinder mate inspect
	`,
	L2: `
		screws pump any sheet
		manifold pump any inspect
		lowPressureSeal cylinder P kit
		sealCase cylinder P inspect
		caseORing cylinder any kit
		highPressureSeal cylinder P kit
		maleAdapter cylinder P inspect
		sealRetainer cylinder mate inspect
		plungerRetainer cylinder mate inspect
		retainerGasket cylinder any kit
		plunger cylinder C inspect
		slinger cylinder sheet inspect
	`,
	L3: `
		screws pump any sheet
		inletManifold pump any inspect
		dischargeManifold pump any inspect
		dischargeAdapter cylinder P inspect
		adapterORingP cylinder any kit
		adapterORingC cylinder any kit
		dischargeSeat cylinder mate inspectOrKit
		dischargeValve cylinder mate inspectOrKit
		dischargeSpring cylinder any inspectOrKit
		springRetainer cylinder P inspectOrKit
		cotterPin cylinder any always
		slottedNut cylinder any inspect
		conicalWasher cylinder C inspect
		inletSpring cylinder any inspectOrKit
		inletSpacer cylinder mate inspectOrKit
		inletValve cylinder C inspectOrKit
		plunger cylinder P inspect
		highPressureSeal cylinder C kit
		lowPressureSeal cylinder P kit
		sealRetainer cylinder any inspect
		rodLand cylinder any inspect
	`,
	L4: `
		studNuts pump any sheet
		dischargeManifold pump any inspect
		cylinder cylinder P inspect
		cylinderBackup cylinder C kit
		cylinderORing cylinder P kit
		cylinderORingSmall cylinder any kit
		dischargeSeat cylinder mate inspectOrKit
		seatORing cylinder P inspectOrKit
		seatBackup cylinder C inspectOrKit
		dischargeValve cylinder mate inspectOrKit
		dischargeSpring cylinder mate inspectOrKit
		dischargeRetainer cylinder mate inspectOrKit
		cylinderBolts pump any sheet
		cotterPin cylinder any always
		rodNut cylinder any inspect
		conicalWasher cylinder P inspect
		pistonRetainer cylinder mate inspect
		cup cylinder P kit
		piston cylinder C inspect
		pistonSpacer cylinder sheet inspect
		inletValve cylinder mate inspectOrKit
		studShims pump any inspect
		inletManifold pump any inspect
		lowPressureSeal cylinder P kit
		sealRetainer cylinder mate inspect
		sleeve cylinder C inspect
		rodORingOuter cylinder any kit
		rodBackup cylinder mate kit
		rodORing cylinder any kit
		slinger cylinder P inspect
	`,
	L5a: `
		valveCap cylinder any sheet
		inletValve cylinder mate kit
		dischargeValve cylinder mate kit
		inletValveORing cylinder any inspect
		dischargeValveORing cylinder any inspect
		headBolts pump any sheet
		head pump any inspect
		rearGuide cylinder mate kit
		guideORing cylinder any kit
		lowPressureSeal cylinder mate kit
		frontGuide cylinder C kit
		highPressureSeal cylinder P kit
		supportRing cylinder P sheet
		pistonNut cylinder any inspect
		copperWasher cylinder any always
		piston cylinder any inspect
		rodORing cylinder any kit
		slinger cylinder any kit
	`,
	L5b: `
		valveCap cylinder any sheet
		inletValve cylinder mate kit
		dischargeValve cylinder mate kit
		inletValveORing cylinder any kit
		dischargeValveORing cylinder any kit
		headBolts pump any sheet
		head pump any inspect
		rearGuide cylinder mate sheet
		guideORing cylinder any kit
		guideBackup cylinder mate kit
		flatSeal cylinder mate kit
		curvedSeal cylinder mate kit
		guideSupport cylinder mate kit
		frontGuide cylinder P sheet
		highPressureSeal cylinder P kit
		supportRing cylinder P sheet
	`,
	L5c: `
		valveCap cylinder any sheet
		inletValve cylinder mate kit
		dischargeValve cylinder mate kit
		inletValveORing cylinder any sheet
		dischargeValveORing cylinder any sheet
		headBolts pump any sheet
		head pump any inspect
		rearGuide cylinder mate sheet
		guideORing cylinder any kit
		guideBackup cylinder any kit
		lowPressureSeal cylinder mate kit
		frontGuide cylinder P sheet
		highPressureSeal cylinder P kit
		supportRing cylinder P sheet
		plungerBolt cylinder any inspect
		copperWasher cylinder any inspect
		plunger cylinder any inspect
		rodORing cylinder any sheet
		copperPlate cylinder any inspect
	`,
	L5r: `
		waterInlet pump any inspect
		headBolts pump any inspect
		head pump any inspect
		sealCarrier cylinder mate inspect
		lowPressureSeal cylinder mate kit
		carrierORing cylinder any kit
		intermediateRing cylinder P inspect
		spacer cylinder any inspect
		highPressureSeal cylinder P kit
		supportRing cylinder P inspect
	`,
	L6a: `
		dischargeScrews pump any inspect
		guideStuds pump any inspect
		dischargeManifold pump any inspect
		packingSpacer cylinder any inspect
		spacerORing cylinder any kit
		packingSpring cylinder any inspect
		inletFasteners pump any inspect
		inletManifold pump any inspect
		maleAdapter cylinder C inspect
		packing cylinder P kit
		femaleAdapter cylinder C inspect
		inletSpacer cylinder any inspect
		inletSpacerORing cylinder any kit
		lowPressureSeal cylinder P kit
		sealRetainer cylinder any inspect
		wick cylinder any inspect
		plungerRetainer cylinder mate inspect
		retainerBackup cylinder any kit
		retainerORing cylinder any kit
		plunger cylinder sheet inspect
		keyholeWasher cylinder any inspect
		slinger cylinder sheet inspect
	`,
	L6b: `
		dischargeScrews pump any inspect
		dischargeManifold pump any inspect
		packingSpacer cylinder P inspect
		spacerORing cylinder any kit
		inletORing cylinder any inspectOrKit
		inletFasteners pump any inspect
		inletManifold pump any inspect
		maleAdapter cylinder C inspect
		packing cylinder P kit
		femaleAdapter cylinder C inspect
		lowPressureSeal cylinder P kit
		sealRetainer cylinder any inspect
		wick cylinder any inspect
		plungerRetainer cylinder mate inspect
		retainerBackup cylinder any kit
		retainerORing cylinder any kit
		plunger cylinder sheet inspect
		keyholeWasher cylinder any inspect
		slinger cylinder P inspect
	`,
	L7a: `
		plateBolts pump any inspect
		plate pump any inspect
		valvePlug cylinder any sheet
		plugORing cylinder any sheet
		plugBackup cylinder any sheet
		outletCage cylinder mate inspect
		outletSpring cylinder any inspect
		outletPoppet cylinder mate inspect
		outletSeat cylinder mate inspect
		seatBackup cylinder any inspect
		seatORing cylinder any inspect
		outletSpacer cylinder any inspect
		spacerORing cylinder any inspect
		inletCage cylinder mate inspect
		inletSpring cylinder any inspect
		inletPoppet cylinder mate inspect
		inletSeat cylinder any inspect
	`,
	L8: `
		manifoldBolts pump any inspect
		manifold pump any inspect
		packingSupport cylinder any inspect
		supportSpring cylinder any inspect
		spacerPlate cylinder sheet inspect
		backORing pump any inspect
		crossoverRing pump any inspect
		plungerBolt cylinder any inspect
		boltWasher cylinder any always
		plunger cylinder any inspect
		crankcaseCover pump any inspect
		packingSleeve cylinder any inspect
		slingerWasher cylinder sheet inspect
		cornerRing cylinder any inspectOrKit
		lowPressureSeal cylinder asFound sheet
		headRing cylinder any sheet
		plasticRing cylinder any sheet
		ropes cylinder any sheet
		plasticWasher cylinder any sheet
		stainlessWasher cylinder any sheet
		inletPlateBolts pump any inspect
		inletPlate pump any inspect
		inletCage cylinder mate inspect
		inletSpring cylinder mate inspect
		inletGuide cylinder mate inspect
		inletValve cylinder mate inspect
		inletSeat cylinder mate inspect
		inletORing cylinder P inspect
		inletBackup cylinder C inspect
		outletPlateBolts pump any inspect
		outletPlate pump any inspect
		outletCage cylinder mate inspect
		outletSpring cylinder mate inspect
		outletGuide cylinder mate inspect
		outletValve cylinder mate inspect
		outletSeat cylinder mate inspect
		plateRing pump any inspect
		outletORing cylinder P inspect
		outletBackup cylinder C inspect
		valveBore cylinder any inspect
	`,
	L9: `
		centreBolt pump sheet inspect
		headBolts pump sheet inspect
		manifold pump sheet inspect
		supportPlate pump sheet inspect
		plateScrews pump any inspect
		valvePlate pump sheet inspect
		outletRetainer cylinder mate inspect
		outletFlatRing cylinder any inspect
		outletSpring cylinder any inspect
		outletValve cylinder mate inspect
		outletSeat cylinder mate inspect
		outletSeatORing cylinder any inspectOrKit
		outletDamper cylinder asFound inspect
		inletDamper cylinder asFound inspect
		inletSeat cylinder mate inspect
		inletSeatORing cylinder any inspectOrKit
		inletValve cylinder mate inspect
		inletSpring cylinder any inspect
		inletFlatRing cylinder any inspect
		inletRetainer cylinder any inspect
		ports cylinder any inspect
		diaphragm cylinder sheet inspectOrKit
	`,
	L10: `
		suctionHose pump any inspect
		headBolts pump any inspect
		head pump any inspect
		topCover pump any inspect
		topPlug cylinder any inspect
		topPlugRing cylinder any kit
		top1Spring cylinder mate kit
		top1Cage cylinder any inspect
		top1Seat cylinder any kit
		top1SeatORing cylinder any kit
		top2Spring cylinder mate kit
		top2Cage cylinder any inspect
		top2Seat cylinder any kit
		top2SeatORing cylinder any kit
		bottomCover pump any inspect
		bottomPlug cylinder any inspect
		bottomPlugRing cylinder any kit
		bottom1Spring cylinder mate kit
		bottom1Cage cylinder any inspect
		bottom1Seat cylinder any kit
		bottom1SeatORing cylinder any kit
		bottom2Spring cylinder mate kit
		bottom2Cage cylinder any inspect
		bottom2Seat cylinder any kit
		bottom2SeatORing cylinder any kit
		cylinderGasket cylinder any kit
		cylinder cylinder any inspect
		regHandle pump any inspect
		regCoverBolts pump any inspect
		regCover pump any inspect
		regWasher pump any inspect
		regSpringLarge pump any inspect
		regSpringSmall pump any inspect
		regRod pump any inspect
		regSetScrew pump any inspect
		regStemSeat pump any kit
		regStemWasher pump any inspect
		regPacking pump any inspect
		regSleeve pump any inspect
		regGasket pump any kit
		regPipe pump any inspect
		regSeat pump mate kit
		oilSeal cylinder sheet always
		rod cylinder sheet inspect
		crossheadBore cylinder any inspect
		oil pump any sheet
	`,
	L11: `
		endCap pump sheet inspect
		headBolts pump any inspect
		head pump any inspect
		plungerBolt cylinder any inspect
		boltWasher cylinder any inspect
		plunger cylinder any inspect
		rubberRing cylinder any inspect
		sealRetainer cylinder sheet inspect
		splitWasher cylinder any inspect
		slinger cylinder sheet inspect
		oilSeal cylinder sheet always
		sealPocket cylinder any inspect
		rodTrack cylinder any inspect
	`
};

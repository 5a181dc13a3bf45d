/**
 * The stacks of the layouts, copied by hand: the stations in the order in which they come out, whether there is one for the pump or
 * one for each cylinder, which way each faces on refit (P, C, against its mate, either way, or the maker's to say), and how it is
 * renewed. Each demo sheet of a layout that stands here is held against it, line by line.
 */
export const layoutTable: Readonly<Record<string, string>> = {
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

import { requireThat } from '../number';
import { discardLimit, type Ask, type ModelSheet, type SheetCharacteristic, type Station, type Step } from '../record';
import { rounded } from './customs';
import { requirePlate, type NamePlate, type SheetDraft } from './newSheet';

/** What one knows of a pump whose layout is like a known one. */
export interface Fit extends NamePlate {
	/** New diameter of its plungers, mm; left out: sizes stay those of the layout, as assumptions. */
	readonly plungerMm?: number;
}

const FOLLOWS = 0.5; // share by which a diameter may differ from the plunger's and still follow it

/**
 * A draft for a pump with the stack of a known layout. Diameters near that of the plunger are scaled with it and keep their
 * allowance. Sizes and prices are marked as assumed; directions, pieces, steps, order, renewal and cautions as deduced, because they
 * were stated for another pump. What holds for that pump alone is left out: torques, masses, design values, surfaces, wear rates, times of
 * products, part numbers, kits, the crank, the test pressure, the largest differences that its steps allow.
 * Units: mm, MPa, 1/min. Source: none; a layout is an analogy.
 * Errors: PreconditionError for a name plate or a diameter that no pump has.
 */
export function fittedTo(layout: ModelSheet, fit: Fit): SheetDraft {
	const { plungerMm, ...plate } = fit;
	requireThat(
		plungerMm === undefined || (plungerMm > 0 && plungerMm < 1e6),
		'fittedTo',
		'plungerMm',
		plungerMm,
		'above 0'
	);
	requirePlate('fittedTo', fit);
	const known = plungerDiameter(layout);
	const ratio = plungerMm !== undefined && known !== undefined ? plungerMm / known : 1;
	const scaled = (size: SheetCharacteristic) =>
		atCylinders(known !== undefined && follows(size, known) ? resized(size, ratio) : assumed(size), plate.cylinders);
	const { unit: _unit, crank: _crank, cylinderOne: _one, proof: _proof, ...rest } = layout;
	return {
		...rest,
		...plate,
		revision: 1,
		demo: false,
		openingCost: 0,
		assemblies: layout.assemblies.map(({ massKg: _mass, ...assembly }) => assembly),
		kits: [],
		products: layout.products.map(({ workMinutes: _work, cureMinutes: _cure, ...product }) => product),
		subAssemblies: layout.subAssemblies.map((subAssembly) => ({ ...subAssembly, sure: 'deduced' })),
		order: layout.order.map((rule) => ({ ...rule, sure: 'deduced' })),
		steps: layout.steps.map((step) => stepHere(step, plate.cylinders)),
		stations: layout.stations.map((station) => ofAnotherPump(station, scaled))
	};
}

const plungerDiameter = ({ stations }: ModelSheet): number | undefined =>
	stations
		.find(({ type }) => type === 'plunger' || type === 'piston')
		?.characteristics.find(({ key }) => key === 'diameter')?.nominal;

const follows = ({ key, unit, nominal }: SheetCharacteristic, plunger: number): boolean =>
	unit === 'mm' && /diameter|bore/i.test(key) && Math.abs(nominal - plunger) <= FOLLOWS * plunger;

const assumed = ({ stopsAt: _stops, wearPrior: _prior, ...size }: SheetCharacteristic): SheetCharacteristic => ({
	...size,
	limitFrom: 'assumed'
});

function atCylinders(size: SheetCharacteristic, cylinders: number): SheetCharacteristic {
	if (!size.grid || size.grid.stations.length === cylinders) return size;
	const { stationsMm: _mm, ...grid } = size.grid;
	const stations = places(grid.stations, cylinders);
	return stations.join() === grid.stations.join() ? size : { ...size, grid: { ...grid, stations } };
}

function resized(size: SheetCharacteristic, ratio: number): SheetCharacteristic {
	const limit = discardLimit(size);
	const nominal = rounded(size.nominal * ratio);
	return {
		...assumed(size),
		nominal,
		...(limit ? { [limit.side]: rounded(nominal + limit.value - size.nominal) } : {})
	};
}

function ofAnotherPump(
	{ number: _number, lifePrior: _prior, deliveryDays: _days, surface: _surface, ...station }: Station,
	scaled: (size: SheetCharacteristic) => SheetCharacteristic
): Station {
	const { fastening } = station;
	const {
		torqueNm: _torque,
		mostNm: _most,
		thread: _thread,
		statedIn: _unit,
		mostTurnDeg: _turn,
		...loose
	} = fastening ?? {};
	return {
		...station,
		inferred: statedElsewhere(station),
		characteristics: station.characteristics.map(scaled),
		collateral: 0,
		design: {},
		cautions: station.cautions.map((caution) => ({ ...caution, text: general(caution.text) })),
		...(fastening ? { fastening: { ...(loose as typeof fastening), torqueFrom: 'shop' as const } } : {})
	};
}

// The facts of a part that its sheet has: for another pump they are deduced.
const statedElsewhere = ({ face, fit, pieces, lookFor, cautions }: Station): Station['inferred'] => [
	...(face.toward === 'notStated' ? [] : (['face'] as const)),
	...(fit ? (['fit'] as const) : []),
	...(pieces > 1 ? (['pieces'] as const) : []),
	'renewal',
	...(lookFor ? (['lookFor'] as const) : []),
	...(cautions.length > 0 ? (['caution'] as const) : []),
	'price'
];

// A text without the masses of the other model.
const general = (text: string): string =>
	text
		.replaceAll(/weighs [\d.]+ kg in this demo model/g, 'is heavy')
		.replaceAll(/[\d.]+ kg in this demo model/g, 'Heavy')
		.replaceAll(/[\d.]+ kg (?=\w)/g, 'heavy ');

const isCylinder = (place: string, i: number): boolean => place === `Cylinder ${i + 1}`;

/** Places that are the cylinders of the layout, as those of the pump; others as they are. */
const places = (named: readonly string[], cylinders: number): string[] =>
	named.every(isCylinder) ? Array.from({ length: cylinders }, (_, i) => `Cylinder ${i + 1}`) : [...named];

function askedHere(ask: Ask, cylinders: number): Ask {
	if (ask.kind !== 'readings') return ask;
	const { most: _most, ...asked } = ask;
	return { ...asked, at: asked.at === 'cylinders' ? asked.at : places(asked.at, cylinders) };
}

function stepHere({ crank, within: _within, ...step }: Step, cylinders: number): Step {
	const stands = crank && (typeof crank.cylinder !== 'number' || crank.cylinder <= cylinders);
	return {
		...step,
		text: general(step.text),
		// Lock-out and release of pressure come first at every pump.
		sure: step.blocking ? step.sure : 'deduced',
		cautions: step.cautions.map((caution) => ({ ...caution, text: general(caution.text) })),
		asks: step.asks.map((ask) => askedHere(ask, cylinders)),
		...(stands ? { crank } : {})
	};
}

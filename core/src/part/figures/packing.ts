/** Figures of packings, lips, cups and the gaps behind them. */
import { fitOf } from '../../measure';
import { annularLeak, WATER_VISCOSITY } from '../../mechanics';
import { figureOr, mateWith } from './figure';
import type { Figure, PartContext } from '../partType';

/** How hard a lip presses on the plunger or sleeve that was measured in this rebuild. */
export function lipFit(context: PartContext): readonly Figure[] {
	const lip = context.sizes.insideDiameter;
	const plunger = mateWith(context, 'diameter', 'trackDiameter');
	if (!lip || !plunger) return [];
	const { interference, u } = fitOf(plunger.size, lip);
	const inputs = [
		{ name: `${plunger.name}, diameter now`, value: plunger.size.value, unit: 'mm' as const },
		{ name: 'Lip inside diameter now', value: lip.value, unit: 'mm' as const }
	];
	return [interferenceFigure(context, interference, u, inputs)];
}

/** How hard a cup presses in the cylinder that was measured in this rebuild. */
export function cupFit(context: PartContext): readonly Figure[] {
	const lip = context.sizes.lipDiameter;
	const cylinder = mateWith(context, 'bore');
	if (!lip || !cylinder) return [];
	const { interference, u } = fitOf(lip, cylinder.size);
	const inputs = [
		{ name: 'Lip outside diameter now', value: lip.value, unit: 'mm' as const },
		{ name: `${cylinder.name}, bore now`, value: cylinder.size.value, unit: 'mm' as const }
	];
	return [interferenceFigure(context, interference, u, inputs)];
}

function interferenceFigure({ design }: PartContext, value: number, u: number, inputs: Figure['inputs']): Figure {
	const least = design.leastInterference;
	return {
		key: 'interference',
		name: 'Interference with its mate',
		value,
		u,
		unit: 'mm',
		...(least === undefined ? {} : { limit: { min: least } }),
		inputs,
		method: 'Difference of both sizes as measured in this rebuild; JCGM 100, 5.1.2'
	};
}

/** Height of the stack above the point where the gland can follow no further. */
export function stackLeft({ sizes, design }: PartContext): readonly Figure[] {
	const stack = sizes.stackHeight;
	if (!stack || design.glandFollow === undefined) return [];
	return [
		{
			key: 'stackLeft',
			name: 'Stack height left for the gland to follow',
			value: stack.value - design.glandFollow,
			u: stack.u,
			unit: 'mm',
			limit: { min: 0 },
			inputs: [
				{ name: 'Stack height now', value: stack.value, unit: 'mm' },
				{ name: 'No follow left at', value: design.glandFollow, unit: 'mm' }
			],
			method: 'Stack height − height at the end of the gland’s follow'
		}
	];
}

/** Extruded lip against the gap that let it out: above 1 the gap is wider than the sheet's, or the pressure was. */
export function extrusion({ sizes, design }: PartContext): readonly Figure[] {
	const { heel } = sizes;
	if (!heel || !(design.clearanceGap! > 0)) return [];
	const gap = design.clearanceGap!;
	return [
		{
			key: 'extrusion',
			name: 'Extruded lip, in widths of its clearance gap',
			value: heel.value / gap,
			u: heel.u / gap,
			unit: 'pieces',
			inputs: [
				{ name: 'Extruded lip now', value: heel.value, unit: 'mm' },
				{ name: 'Clearance gap', value: gap, unit: 'mm' }
			],
			method:
				'Width of the lip ÷ clearance gap; above 1 the gap has opened or the pressure was above its rating (ISO 3601-2)'
		}
	];
}

/** Gap round the plunger in a guide or adapter, and what would pass through it without the packing. */
export function annularGap(context: PartContext): readonly Figure[] {
	const { sizes, design, ratedPressure } = context;
	const plunger = mateWith(context, 'diameter');
	if (!sizes.bore || !plunger) return [];
	const { interference, u } = fitOf(sizes.bore, plunger.size);
	const inputs: Figure['inputs'] = [
		{ name: 'Bore now', value: sizes.bore.value, unit: 'mm' },
		{ name: `${plunger.name}, diameter now`, value: plunger.size.value, unit: 'mm' }
	];
	const clearance: Figure = {
		key: 'clearance',
		name: 'Clearance round the plunger',
		value: interference,
		u,
		unit: 'mm',
		inputs,
		method: 'Difference of both sizes as measured in this rebuild; JCGM 100, 5.1.2'
	};
	return [
		clearance,
		...figureOr(gapLeak(interference, plunger.size.value + interference / 2, design, ratedPressure, inputs))
	];
}

function gapLeak(
	clearance: number,
	meanDiameter: number,
	design: PartContext['design'],
	pressure: number | undefined,
	inputs: Figure['inputs']
): Figure | undefined {
	if (!(clearance > 0) || !(design.land! > 0) || pressure === undefined) return undefined;
	const viscosity = design.viscosity ?? WATER_VISCOSITY;
	const gap = {
		diameter: meanDiameter,
		clearance: clearance / 2,
		length: design.land!,
		eccentricity: 1,
		pressure,
		viscosity
	};
	const { flow, reynolds } = annularLeak(gap);
	return {
		key: 'gapLeak',
		name: 'Would pass this gap if the packing were gone, plunger lying on one side',
		value: flow,
		unit: 'Lmin',
		inputs: [
			...inputs,
			{ name: 'Length of the gap', value: design.land!, unit: 'mm' },
			{ name: 'Rated pressure', value: pressure, unit: 'MPa' },
			{ name: 'Viscosity, mPa·s', value: viscosity, unit: 'pieces' },
			{ name: 'Reynolds number', value: reynolds, unit: 'pieces' }
		],
		method: `Q = π·D·c³·Δp·(1 + 1.5·ε²)/(12·μ·L), ε = 1${reynolds > 1000 ? '; not laminar any more, so this is an upper bound' : ''}`
	};
}

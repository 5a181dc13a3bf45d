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
	const inputs: Figure['inputs'] = [
		{ key: 'mateDiameter', of: plunger.name, value: plunger.size.value, unit: 'mm' },
		{ key: 'lipInsideDiameterNow', value: lip.value, unit: 'mm' }
	];
	return [interferenceFigure(context, interference, u, inputs)];
}

/** How hard a cup presses in the cylinder that was measured in this rebuild. */
export function cupFit(context: PartContext): readonly Figure[] {
	const lip = context.sizes.lipDiameter;
	const cylinder = mateWith(context, 'bore');
	if (!lip || !cylinder) return [];
	const { interference, u } = fitOf(lip, cylinder.size);
	const inputs: Figure['inputs'] = [
		{ key: 'lipOutsideDiameterNow', value: lip.value, unit: 'mm' },
		{ key: 'mateBore', of: cylinder.name, value: cylinder.size.value, unit: 'mm' }
	];
	return [interferenceFigure(context, interference, u, inputs)];
}

function interferenceFigure({ design }: PartContext, value: number, u: number, inputs: Figure['inputs']): Figure {
	const least = design.leastInterference;
	return {
		key: 'interference',
		value,
		u,
		unit: 'mm',
		...(least === undefined ? {} : { limit: { min: least } }),
		inputs
	};
}

/** Height of the stack above the point where the gland can follow no further. */
export function stackLeft({ sizes, design }: PartContext): readonly Figure[] {
	const stack = sizes.stackHeight;
	if (!stack || design.glandFollow === undefined) return [];
	return [
		{
			key: 'stackLeft',
			value: stack.value - design.glandFollow,
			u: stack.u,
			unit: 'mm',
			limit: { min: 0 },
			inputs: [
				{ key: 'stackHeightNow', value: stack.value, unit: 'mm' },
				{ key: 'noFollowLeftAt', value: design.glandFollow, unit: 'mm' }
			]
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
			value: heel.value / gap,
			u: heel.u / gap,
			unit: 'pieces',
			inputs: [
				{ key: 'extrudedLipNow', value: heel.value, unit: 'mm' },
				{ key: 'clearanceGap', value: gap, unit: 'mm' }
			]
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
		{ key: 'boreNow', value: sizes.bore.value, unit: 'mm' },
		{ key: 'mateDiameter', of: plunger.name, value: plunger.size.value, unit: 'mm' }
	];
	const clearance: Figure = {
		key: 'clearance',
		value: interference,
		u,
		unit: 'mm',
		inputs
	};
	return [
		clearance,
		...figureOr(gapLeak(interference, plunger.size.value + interference / 2, design, ratedPressure, inputs))
	];
}

/** Gap round a piston in the cylinder in which it runs. */
export function cylinderClearance(context: PartContext): readonly Figure[] {
	const piston = context.sizes.diameter;
	const cylinder = mateWith(context, 'bore');
	if (!piston || !cylinder) return [];
	const { interference, u } = fitOf(cylinder.size, piston);
	const inputs: Figure['inputs'] = [
		{ key: 'mateBore', of: cylinder.name, value: cylinder.size.value, unit: 'mm' },
		{ key: 'diameterNow', value: piston.value, unit: 'mm' }
	];
	return [{ key: 'clearance', value: interference, u, unit: 'mm', inputs }];
}

/** Gap between a sleeve and the rod that carries it. */
export function rodFit({ sizes }: PartContext): readonly Figure[] {
	const { bore, rodDiameter } = sizes;
	if (!bore || !rodDiameter) return [];
	const { interference, u } = fitOf(bore, rodDiameter);
	const inputs: Figure['inputs'] = [
		{ key: 'boreNow', value: bore.value, unit: 'mm' },
		{ key: 'diameterNow', value: rodDiameter.value, unit: 'mm' }
	];
	return [{ key: 'clearance', value: interference, u, unit: 'mm', inputs }];
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
		value: flow,
		unit: 'Lmin',
		inputs: [
			...inputs,
			{ key: 'lengthOfTheGap', value: design.land!, unit: 'mm' },
			{ key: 'ratedPressure', value: pressure, unit: 'MPa' },
			{ key: 'viscosity', value: viscosity, unit: 'pieces' },
			{ key: 'reynoldsNumber', value: reynolds, unit: 'pieces' }
		]
	};
}

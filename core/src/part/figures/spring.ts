/** Figures of springs: rate from geometry and from the load test, loss against new, stress and solid length. */
import { rateOfTest, SHEAR_MODULUS, solidLength, springRate, wahlStress } from '../../mechanics';
import type { Figure, PartContext } from '../partType';

const DEAD_COILS = 2; // closed and ground ends

export const springFigures = (context: PartContext): readonly Figure[] => [
	...loss(context, 'freeLength', {
		key: 'lengthLoss',
		name: 'Free length lost',
		method: '(as new − now)/as new; below 0 it has been stretched'
	}),
	...loss(context, 'load', {
		key: 'loadLoss',
		name: 'Load lost at the working length',
		method: '(as new − now)/as new, both at the working length'
	}),
	...testedRate(context),
	...geometry(context)
];

// What has been lost against new: of free length, or of load at the working length.
function loss(
	{ sizes, asNew }: PartContext,
	of: 'freeLength' | 'load',
	figure: Pick<Figure, 'key' | 'name' | 'method'>
): Figure[] {
	const [now, start] = [sizes[of], asNew[of]];
	if (!now || !(start! > 0)) return [];
	const unit = of === 'load' ? 'N' : 'mm';
	return [
		{
			...figure,
			value: (start! - now.value) / start!,
			u: now.u / start!,
			unit: 'share',
			inputs: [
				{ name: 'As new', value: start!, unit },
				{ name: 'Now', value: now.value, unit }
			]
		}
	];
}

function testedRate({ sizes, design }: PartContext): Figure[] {
	const [long, short] = [sizes.load, sizes.loadShort];
	const { workingLength, shortLength } = design;
	if (!long || !short || workingLength === undefined || shortLength === undefined) return [];
	if (!(short.value > long.value) || !(shortLength < workingLength)) return [];
	const { rate } = rateOfTest({ length: workingLength, load: long.value }, { length: shortLength, load: short.value });
	return [
		{
			key: 'testedRate',
			name: 'Rate by the load test',
			value: rate,
			u: Math.hypot(long.u, short.u) / (workingLength - shortLength),
			unit: 'Npmm',
			inputs: [
				{ name: 'Load at working length', value: long.value, unit: 'N' },
				{ name: 'Load at the shorter length', value: short.value, unit: 'N' },
				{ name: 'Working length', value: workingLength, unit: 'mm' },
				{ name: 'Shorter length', value: shortLength, unit: 'mm' }
			],
			method: '(F₂ − F₁)/(L₁ − L₂)'
		}
	];
}

function geometry({ sizes, design }: PartContext): Figure[] {
	const { wire, outsideDiameter, coils } = sizes;
	if (!wire || !outsideDiameter || !coils || !(coils.value > DEAD_COILS)) return [];
	const spring = {
		wire: wire.value,
		meanDiameter: outsideDiameter.value - wire.value,
		activeCoils: coils.value - DEAD_COILS,
		shearModulus: design.shearModulus ?? SHEAR_MODULUS.steel
	};
	if (!(spring.meanDiameter > spring.wire)) return [];
	const inputs: Figure['inputs'] = [
		{ name: 'Wire', value: spring.wire, unit: 'mm' },
		{ name: 'Mean coil diameter', value: spring.meanDiameter, unit: 'mm' },
		{ name: 'Active coils', value: spring.activeCoils, unit: 'pieces' },
		{ name: 'Shear modulus', value: spring.shearModulus, unit: 'MPa' }
	];
	const rate = springRate(spring);
	const relative = Math.hypot(
		(4 * wire.u) / wire.value,
		(3 * Math.hypot(outsideDiameter.u, wire.u)) / spring.meanDiameter
	);
	const figures: Figure[] = [
		{
			key: 'rate',
			name: 'Spring rate from geometry',
			value: rate,
			u: rate * relative,
			unit: 'Npmm',
			inputs,
			method: 'k = G·d⁴/(8·D³·n), two dead coils (EN 13906-1)'
		}
	];
	if (design.workingLength !== undefined) {
		const solid = solidLength(spring);
		figures.push({
			key: 'travelToSolid',
			name: 'Travel to coil bind, at the working length',
			value: design.workingLength - solid,
			unit: 'mm',
			limit: { min: 0 },
			inputs: [
				{ name: 'Working length', value: design.workingLength, unit: 'mm' },
				{ name: 'Solid length', value: solid, unit: 'mm' }
			],
			method: 'Working length − (active coils + 2)·d (EN 13906-1)'
		});
	}
	if (sizes.load)
		figures.push({
			key: 'stress',
			name: 'Shear stress at the working length',
			value: wahlStress(spring, Math.max(0, sizes.load.value)),
			unit: 'MPa',
			inputs: [...inputs, { name: 'Load now', value: sizes.load.value, unit: 'N' }],
			method: 'τ = K·8·F·D/(π·d³) with Wahl’s K (EN 13906-1)'
		});
	return figures;
}

/** Figures of springs: rate from geometry and from the load test, loss against new, stress and solid length. */
import { rateOfTest, SHEAR_MODULUS, solidLength, springRate, wahlStress } from '../../mechanics';
import type { Figure, PartContext } from '../partType';

const DEAD_COILS = 2; // closed and ground ends

export const springFigures = (context: PartContext): readonly Figure[] => [
	...loss(context, 'freeLength', {
		key: 'lengthLoss'
	}),
	...loss(context, 'load', {
		key: 'loadLoss'
	}),
	...testedRate(context),
	...geometry(context)
];

// What has been lost against new: of free length, or of load at the working length.
function loss({ sizes, asNew }: PartContext, of: 'freeLength' | 'load', figure: Pick<Figure, 'key'>): Figure[] {
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
				{ key: 'asNew', value: start!, unit },
				{ key: 'now', value: now.value, unit }
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
			value: rate,
			u: Math.hypot(long.u, short.u) / (workingLength - shortLength),
			unit: 'Npmm',
			inputs: [
				{ key: 'loadAtWorkingLength', value: long.value, unit: 'N' },
				{ key: 'loadAtTheShorterLength', value: short.value, unit: 'N' },
				{ key: 'workingLength', value: workingLength, unit: 'mm' },
				{ key: 'shorterLength', value: shortLength, unit: 'mm' }
			]
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
		{ key: 'wire', value: spring.wire, unit: 'mm' },
		{ key: 'meanCoilDiameter', value: spring.meanDiameter, unit: 'mm' },
		{ key: 'activeCoils', value: spring.activeCoils, unit: 'pieces' },
		{ key: 'shearModulus', value: spring.shearModulus, unit: 'MPa' }
	];
	const rate = springRate(spring);
	// The mean diameter is the outside one less the wire: an error of the wire makes d⁴ and D⁻³ both err the same way.
	const relative = Math.hypot(
		wire.u * (4 / wire.value + 3 / spring.meanDiameter),
		(3 * outsideDiameter.u) / spring.meanDiameter
	);
	const figures: Figure[] = [
		{
			key: 'rate',
			value: rate,
			u: rate * relative,
			unit: 'Npmm',
			inputs
		}
	];
	if (design.workingLength !== undefined) {
		const solid = solidLength(spring);
		figures.push({
			key: 'travelToSolid',
			value: design.workingLength - solid,
			unit: 'mm',
			limit: { min: 0 },
			inputs: [
				{ key: 'workingLength', value: design.workingLength, unit: 'mm' },
				{ key: 'solidLength', value: solid, unit: 'mm' }
			]
		});
	}
	if (sizes.load)
		figures.push({
			key: 'stress',
			value: wahlStress(spring, Math.max(0, sizes.load.value)),
			unit: 'MPa',
			inputs: [...inputs, { key: 'loadNow', value: sizes.load.value, unit: 'N' }]
		});
	return figures;
}

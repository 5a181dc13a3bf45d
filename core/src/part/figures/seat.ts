/** Figures of valve seats: lapping, leaks through damage, hold test. */
import { grooveArea, lapping, leakDown, orificeLeak } from '../../mechanics';
import type { Figure, PartContext } from '../partType';

const HOLD_TEST_SECONDS = 60;

export const seatFigures = (context: PartContext): readonly Figure[] => [
	...lappingFigure(context),
	...grooveLeak(context),
	...holdTest(context)
];

// What is left once the deepest mark is lapped out.
function lappingFigure({ sizes, design }: PartContext): Figure[] {
	const { height, pitDepth, grooveDepth } = sizes;
	const deepest = [pitDepth, grooveDepth].filter((one) => one !== undefined).sort((a, b) => b.value - a.value)[0];
	if (!height || !deepest || design.leastHeight === undefined) return [];
	const finishing = design.finishing ?? 0;
	const { reserve } = lapping({
		height: height.value,
		deepest: Math.max(0, deepest.value),
		finishing,
		leastHeight: design.leastHeight
	});
	return [
		{
			key: 'lappingReserve',
			name: 'Height to spare after lapping it clean',
			value: reserve,
			u: Math.hypot(height.u, deepest.u),
			unit: 'mm',
			limit: { min: 0 },
			inputs: [
				{ name: 'Height now', value: height.value, unit: 'mm' },
				{ name: 'Deepest mark', value: deepest.value, unit: 'mm' },
				{ name: 'Finishing cut', value: finishing, unit: 'mm' },
				{ name: 'Least height', value: design.leastHeight, unit: 'mm' }
			],
			method: 'Height − deepest mark − finishing cut − least height'
		}
	];
}

function grooveLeak({ sizes, design, ratedPressure }: PartContext): Figure[] {
	const { grooveWidth, grooveDepth } = sizes;
	if (!grooveWidth || !grooveDepth || ratedPressure === undefined) return [];
	const area = grooveArea(Math.max(0, grooveWidth.value), Math.max(0, grooveDepth.value));
	return [
		{
			key: 'grooveLeak',
			name: 'Leaks back through the groove at rated pressure',
			value: orificeLeak(area, ratedPressure),
			unit: 'Lmin',
			...(design.mostLeak === undefined ? {} : { limit: { max: design.mostLeak } }),
			inputs: [
				{ name: 'Groove width', value: grooveWidth.value, unit: 'mm' },
				{ name: 'Groove depth', value: grooveDepth.value, unit: 'mm' },
				{ name: 'Rated pressure', value: ratedPressure, unit: 'MPa' }
			],
			method: 'Half an ellipse as a sharp-edged orifice, Q = 0.61·A·√(2Δp/ρ), water (ISO 5167-2)'
		}
	];
}

function holdTest({ sizes, design, ratedPressure }: PartContext): Figure[] {
	const fall = sizes.pressureFall;
	if (!fall || ratedPressure === undefined || !(design.trappedVolume! > 0) || !(design.bulkModulus! > 0)) return [];
	const drop = Math.min(Math.max(0, fall.value), ratedPressure);
	const test = {
		volume: design.trappedVolume! / 1000,
		from: ratedPressure,
		to: ratedPressure - drop,
		seconds: HOLD_TEST_SECONDS,
		bulkModulus: design.bulkModulus!
	};
	const flow = leakDown(test);
	return [
		{
			key: 'holdTestLeak',
			name: 'Leak by the hold test',
			value: flow,
			unit: 'Lmin',
			...(drop > 0 ? { u: (flow * fall.u) / drop } : {}),
			...(design.mostLeak === undefined ? {} : { limit: { max: design.mostLeak } }),
			inputs: [
				{ name: 'Fall in a minute', value: fall.value, unit: 'MPa' },
				{ name: 'Trapped volume', value: design.trappedVolume!, unit: 'mm3' },
				{ name: 'Bulk modulus', value: design.bulkModulus!, unit: 'MPa' }
			],
			method: 'Q = V·Δp/(K·t), from dp/dt = −K·Q/V; air in the water makes it seem less'
		}
	];
}

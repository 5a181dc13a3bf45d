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
	const deepest = [pitDepth, grooveDepth].filter((depth) => depth !== undefined).sort((a, b) => b.value - a.value)[0];
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
			value: reserve,
			u: Math.hypot(height.u, deepest.u),
			unit: 'mm',
			limit: { min: 0 },
			inputs: [
				{ key: 'heightNow', value: height.value, unit: 'mm' },
				{ key: 'deepestMark', value: deepest.value, unit: 'mm' },
				{ key: 'finishingCut', value: finishing, unit: 'mm' },
				{ key: 'leastHeight', value: design.leastHeight, unit: 'mm' }
			]
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
			value: orificeLeak(area, ratedPressure),
			unit: 'Lmin',
			...(design.mostLeak === undefined ? {} : { limit: { max: design.mostLeak } }),
			inputs: [
				{ key: 'grooveWidth', value: grooveWidth.value, unit: 'mm' },
				{ key: 'grooveDepth', value: grooveDepth.value, unit: 'mm' },
				{ key: 'ratedPressure', value: ratedPressure, unit: 'MPa' }
			]
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
			value: flow,
			unit: 'Lmin',
			...(drop > 0 ? { u: (flow * fall.u) / drop } : {}),
			...(design.mostLeak === undefined ? {} : { limit: { max: design.mostLeak } }),
			inputs: [
				{ key: 'fallInAMinute', value: fall.value, unit: 'MPa' },
				{ key: 'trappedVolume', value: design.trappedVolume!, unit: 'mm3' },
				{ key: 'bulkModulus', value: design.bulkModulus!, unit: 'MPa' }
			]
		}
	];
}

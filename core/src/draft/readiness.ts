import type { ModelSheet, Stage, Station } from '../record';

/** How far a sheet reaches: each level needs those before it. */
export const levels = ['inspect', 'build', 'prove'] as const;
export type Level = (typeof levels)[number];

/** What a sheet does not state for a level. The work can go on without it; the page says that it is missing. */
export type Lack =
	| {
			readonly code:
				'torque' | 'assumedTorque' | 'direction' | 'deducedDirection' | 'limit' | 'assumedLimit' | 'assumedPrice';
			readonly stations: readonly Pick<Station, 'key' | 'name'>[];
	  }
	| { readonly code: 'deducedSteps'; readonly count: number }
	| { readonly code: 'buildOrder' | 'proof' | 'proveSteps' | 'openingCost' };

const MOST_TURNED_BY_HAND: readonly Station['type'][] = ['fastener'];

const named = (stations: readonly Station[]) => stations.map(({ key, name }) => ({ key, name }));

/**
 * What a sheet lacks for stripping and inspecting, for building, and for proving. Nothing in the list keeps a job from going on:
 * without a limit the rules of damage still hold, without a torque the screen says that none is stated.
 */
export function lacksOf(sheet: ModelSheet): Readonly<Record<Level, readonly Lack[]>> {
	const { stations, steps, order, proof } = sheet;
	const some = (code: Extract<Lack, { stations: unknown }>['code'], which: readonly Station[]): Lack[] =>
		which.length === 0 ? [] : [{ code, stations: named(which) }];
	const deducedSteps = (stages: readonly Stage[]): Lack[] => {
		const count = steps.filter(({ stage, sure }) => sure === 'deduced' && stages.includes(stage)).length;
		return count === 0 ? [] : [{ code: 'deducedSteps', count }];
	};
	const sized = ({ characteristics }: Station) => characteristics.length > 0;
	const fasteners = stations.filter(({ type }) => MOST_TURNED_BY_HAND.includes(type));
	return {
		inspect: [
			...some(
				'limit',
				stations.filter((station) => !sized(station) && station.renewal === 'inspect' && !fasteners.includes(station))
			),
			...some(
				'assumedLimit',
				stations.filter(({ characteristics }) =>
					characteristics.some(({ limitFrom, min, max }) => limitFrom === 'assumed' && (min ?? max) !== undefined)
				)
			),
			...some(
				'assumedPrice',
				stations.filter(({ inferred }) => inferred.includes('price'))
			),
			...deducedSteps(['prepare', 'strip', 'clean']),
			...(sheet.openingCost === 0 ? [{ code: 'openingCost' } as const] : [])
		],
		build: [
			...some(
				'torque',
				fasteners.filter(({ fastening }) => fastening?.torqueNm === undefined && fastening?.byFeel === undefined)
			),
			...some(
				'assumedTorque',
				fasteners.filter(({ fastening }) => fastening?.torqueFrom === 'assumed' && fastening.torqueNm !== undefined)
			),
			...some(
				'direction',
				stations.filter(({ face }) => face.toward === 'notStated')
			),
			...some(
				'deducedDirection',
				stations.filter(({ inferred }) => inferred.includes('face'))
			),
			...deducedSteps(['build']),
			...(order.length === 0 && !steps.some(({ stage }) => stage === 'build') ? [{ code: 'buildOrder' } as const] : [])
		],
		prove: [
			...(proof === undefined ? [{ code: 'proof' } as const] : []),
			...deducedSteps(['prove']),
			...(steps.some(({ stage }) => stage === 'prove') ? [] : [{ code: 'proveSteps' } as const])
		]
	};
}

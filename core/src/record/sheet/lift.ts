import { partTypes } from '../../part/register';

/** Sheets of versions 1 and 2, in today's words. The one place that knows how they looked. */

type Fields = Record<string, unknown>;
const isFields = (value: unknown): value is Fields =>
	typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);

const scopesBefore = [
	{ key: 'packing', name: 'Packing job', kind: 'packing', offers: ['plunger'] },
	{ key: 'plunger', name: 'Packing and plunger job', kind: 'plunger' },
	{ key: 'valves', name: 'Valve job', kind: 'valves' },
	{ key: 'full', name: 'Full rebuild', kind: 'full' }
] as const;
const assemblyNames: Readonly<Record<string, string>> = {
	manifold: 'Manifold',
	rod: 'Plunger rods',
	valves: 'Valves',
	pump: 'Pump'
};

/**
 * A sheet of an earlier version as one of today's. Of version 1: its sides become assemblies, its one mate, tool, lubricant and
 * caution become lists, its scopes are written out. Of version 2: a direction that was not stated says so, and so does an
 * answer without a meaning; a part has several cautions. Anything else, and what does not fit, is left for the schema to judge.
 *
 * Shape: parsed JSON of any kind; the argument is left as it is.
 */
export const liftSheet = (raw: unknown): unknown => fromVersion2(fromVersion1(raw));

function fromVersion2(raw: unknown): unknown {
	if (!isFields(raw) || raw.version !== 2) return raw;
	const { steps, stations } = raw;
	return {
		...raw,
		version: 3,
		...(Array.isArray(steps) ? { steps: steps.map(liftStep2) } : {}),
		...(Array.isArray(stations) ? { stations: stations.map(liftStation2) } : {})
	};
}

function liftStep2(step: unknown): unknown {
	if (!isFields(step)) return step;
	const { opensOn: _unused, asks, ...rest } = step;
	return { ...rest, ...(Array.isArray(asks) ? { asks: asks.map(liftAsk) } : {}) };
}

function liftAsk(ask: unknown): unknown {
	if (!isFields(ask) || ask.kind !== 'choice') return ask;
	const { means, choices, ...rest } = ask;
	const meant = (choice: unknown) => listOf(means).find((one) => isFields(one) && one.choice === choice);
	return {
		...rest,
		choices: listOf(choices).map((text) => {
			const one = meant(text);
			const finding = isFields(one) ? { station: one.station, pattern: one.pattern } : undefined;
			return { text, means: finding ? { finding } : 'notStated' };
		})
	};
}

function liftStation2(station: unknown): unknown {
	if (!isFields(station)) return station;
	const { caution, face, ...rest } = station;
	const type = Object.entries(partTypes).find(([key]) => key === station.type)?.[1];
	const sides = (toward: unknown) => {
		if (toward === 'any') return type && 'symmetric' in type ? 'either' : 'notStated';
		return toward === 'sheet' || toward === 'asFound' ? 'notStated' : toward;
	};
	return {
		...rest,
		...(isFields(face) ? { face: { ...face, toward: sides(face.toward) } } : { face }),
		...(caution === undefined ? {} : { cautions: [caution] })
	};
}

function fromVersion1(raw: unknown): unknown {
	if (!isFields(raw) || raw.version !== 1) return raw;
	const { benchFaceUp, manifoldMassKg, steps, stations, ...rest } = raw;
	const liftedStations = listOf(stations);
	const used = (key: string, field: string) =>
		liftedStations.some((station) => isFields(station) && listOf(station[field]).includes(key));
	const scopes = scopesBefore.filter(({ key }) => used(key, 'scopes'));
	const offered = scopes.map((scope) =>
		'offers' in scope ? { ...scope, offers: scope.offers.filter((key) => used(key, 'scopes')) } : scope
	);
	const sides = [...new Set(liftedStations.flatMap((station) => (isFields(station) ? [station.side] : [])))];
	const tools = toolsOf(liftedStations);
	return {
		...rest,
		version: 2,
		assemblies: sides.flatMap((side) =>
			typeof side === 'string' && Object.hasOwn(assemblyNames, side)
				? [
						{
							key: side,
							name: assemblyNames[side],
							...(side === 'manifold' && benchFaceUp !== undefined ? { up: benchFaceUp } : {}),
							...(side === 'manifold' && manifoldMassKg !== undefined ? { massKg: manifoldMassKg } : {})
						}
					]
				: []
		),
		scopes: offered,
		tools: tools.map((name, i) => ({ key: `tool${i + 1}`, name })),
		steps: Array.isArray(steps) ? steps.map(liftStep) : steps,
		stations: Array.isArray(stations) ? stations.map((station) => liftStation(station, tools)) : stations
	};
}

const toolsOf = (stations: readonly unknown[]): string[] => [
	...new Set(
		stations.flatMap((station) => (isFields(station) && typeof station.tool === 'string' ? [station.tool] : []))
	)
];

function liftStep(step: unknown): unknown {
	if (!isFields(step)) return step;
	const { caution, ...rest } = step;
	return { ...rest, ...(caution === undefined ? {} : { cautions: [caution] }) };
}

function liftStation(station: unknown, tools: readonly string[]): unknown {
	if (!isFields(station)) return station;
	const { tool, lubricate, mate, side, ...rest } = station;
	return {
		...rest,
		side,
		in: side,
		...(mate === undefined ? {} : { mates: [mate] }),
		...(typeof tool === 'string' ? { tools: [{ tool: `tool${tools.indexOf(tool) + 1}` }] } : {}),
		...(lubricate === undefined ? {} : { products: [{ where: lubricate }] })
	};
}

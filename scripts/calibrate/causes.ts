// Pumps whose causes are drawn from the network itself: do the beliefs agree with exact inference that knows it, and come true?
import {
	beliefsOf,
	startingNetwork,
	stationsOf,
	type Cause,
	type CauseNetwork,
	type FindingNode,
	type InspectedAt,
	type RebuildEvidence
} from '../../core/src/trace';
import type { ModelSheet } from '../../core/src/record';
import { Random } from '../../demo/src';

const REBUILDS = 4;
const HOURS = 1500;
const LOOKED_SHARE = 0.8;
const PLANTED_SHARE = 0.5;

// Causes and findings that can be laid on the mat by themselves, few enough for every joint state to be walked.
const CAUSES = ['airInSuction', 'solids', 'attacks', 'headOutOfLine', 'rodOutOfLine', 'foreignBody'];
const FINDINGS = [
	...['inletPitted', 'plungerPitted', 'plungerScored', 'sealGrit', 'seatWireDrawn', 'sealSwollen', 'springCorroded'],
	...['sealOneSided', 'plungerOneSided', 'valveNicked']
];

function reduced(sheet: ModelSheet): CauseNetwork {
	// Each finding on one station of its own kind: what is looked at there is looked for.
	const findings = startingNetwork.findings.flatMap((finding): FindingNode[] =>
		FINDINGS.includes(finding.key) && finding.by === 'mark'
			? [{ ...finding, only: [stationsOf(finding, sheet)[0].key] }]
			: []
	);
	const causes = startingNetwork.causes
		.filter(({ key }) => CAUSES.includes(key))
		// A cause that is rare is seldom planted: here each is common enough to be counted.
		.map((cause) => ({
			...cause,
			prior: 0.1,
			endsByItself: 0,
			links: cause.links.filter(({ finding }) => FINDINGS.includes(finding))
		}));
	return { ...startingNetwork, findings, causes, follows: [] };
}

interface Chain {
	readonly of: Cause;
	readonly cylinder: number;
}
interface Seen {
	readonly finding: string;
	readonly cylinder: number;
	readonly present: boolean;
}

export interface PlantedTruth {
	readonly pumps: number;
	/** Furthest that a belief lies from exact inference over all joint states, written for this alone. */
	readonly furthest: number;
	/** What was said at the last rebuild and whether it was so, cause by cause. */
	readonly said: readonly { readonly p: number; readonly so: boolean }[];
	/** Planted causes of which every finding was looked for at two rebuilds at least; and how many of them stand first, and above all others together. */
	readonly planted: number;
	readonly first: number;
	readonly aboveAll: number;
}

export function plantedTruth(sheet: ModelSheet, pumps: number, seed: number): PlantedTruth {
	const random = new Random(seed);
	const network = reduced(sheet);
	const chains = network.causes.flatMap((of): Chain[] =>
		of.on === 'pump' ? [{ of, cylinder: 0 }] : [1, 2, 3].map((cylinder) => ({ of, cylinder }))
	);
	const said: { p: number; so: boolean }[] = [];
	let [furthest, planted, first, aboveAll] = [0, 0, 0, 0];
	for (let pump = 0; pump < pumps; pump++) {
		const wholeInspection = random.chance(PLANTED_SHARE);
		const chosen = wholeInspection ? Math.floor(random.between(0, chains.length - 1e-9)) : -1;
		const { truth, seen, rebuilds } = draw(random, network, sheet, chains, chosen);
		const believed = beliefsOf(network, sheet, rebuilds, []);
		if (believed.kind !== 'believed') throw new Error('a network contradicts what it brought about');
		const exact = walkAllStates(network, chains, seen);
		const last = believed.beliefs.map(({ now }) => now.at(-1)!);
		for (const [k, { now }] of believed.beliefs.entries())
			for (const [t, p] of now.entries()) furthest = Math.max(furthest, Math.abs(p - exact[t][k]));
		if (chosen < 0) for (const [k, p] of last.entries()) said.push({ p, so: truth.at(-1)![k] });
		else {
			planted++;
			const second = believed.beliefs.map(({ then }) => then[1]);
			if (second.every((p, k) => k === chosen || p < second[chosen])) first++;
			if (second.reduce((sum, p, k) => (k === chosen ? sum : sum + p), 0) < second[chosen]) aboveAll++;
		}
	}
	return { pumps, furthest, said, planted, first, aboveAll };
}

// A pump's life: causes arise by their rates, or one alone is planted and shows itself; some things are not looked for.
function draw(random: Random, network: CauseNetwork, sheet: ModelSheet, chains: readonly Chain[], value: number) {
	let state = chains.map(({ of }, k) => (value >= 0 ? k === value : random.chance(of.prior)));
	const truth: boolean[][] = [];
	const seen: Seen[][] = [];
	const rebuilds: RebuildEvidence[] = [];
	for (let t = 0; t < REBUILDS; t++) {
		if (t > 0 && value < 0)
			state = state.map((on, k) => on || random.chance(-Math.expm1((-chains[k].of.per1000h * HOURS) / 1000)));
		truth.push(state);
		const here: Seen[] = [];
		const inspections: InspectedAt[] = [];
		for (const station of sheet.stations) {
			const shown = network.findings.filter((finding) => stationsOf(finding, sheet).includes(station));
			if (shown.length === 0) continue;
			for (const cylinder of station.per === 'pump' ? [0] : [1, 2, 3]) {
				if (value < 0 && !random.chance(LOOKED_SHARE)) continue;
				const found = shown.map((finding) => ({
					finding,
					present: random.chance(1 - absentChance(chains, state, finding.key, finding.backgroundRate, cylinder))
				}));
				here.push(...found.map(({ finding, present }) => ({ finding: finding.key, cylinder, present })));
				inspections.push({
					station: station.key,
					cylinder,
					patterns: found.flatMap(({ finding, present }) =>
						present && finding.by === 'mark' ? [finding.patterns[0]] : []
					),
					seenBefore: [],
					byAssembly: [],
					ranHours: null,
					failed: false
				});
			}
		}
		rebuilds.push({ pumpHours: HOURS * (t + 1), inspections, asFound: [], sizes: [], sides: [], duty: {} });
		seen.push(here);
	}
	return { truth, seen, rebuilds };
}

function absentChance(
	chains: readonly Chain[],
	state: readonly boolean[],
	key: string,
	backgroundRate: number,
	cylinder: number
) {
	let absent = 1 - backgroundRate;
	for (const [k, chain] of chains.entries()) {
		if (!state[k] || (chain.cylinder !== 0 && cylinder !== 0 && chain.cylinder !== cylinder)) continue;
		const link = chain.of.links.find(({ finding }) => finding === key);
		if (link) absent *= 1 - link.strength;
	}
	return absent;
}

// Forward and backward over every joint state with the whole transition written out: nothing of the application's inference.
function walkAllStates(
	network: CauseNetwork,
	chains: readonly Chain[],
	seen: readonly (readonly Seen[])[]
): number[][] {
	const states = Array.from({ length: 2 ** chains.length }, (_, s) =>
		chains.map((__, k) => Math.floor(s / 2 ** k) % 2 === 1)
	);
	const backgroundRate = new Map(network.findings.map((finding) => [finding.key, finding.backgroundRate]));
	const emission = seen.map((here) =>
		states.map((state) =>
			here.reduce((p, { finding, cylinder, present }) => {
				const absent = absentChance(chains, state, finding, backgroundRate.get(finding)!, cylinder);
				return p * (present ? 1 - absent : absent);
			}, 1)
		)
	);
	const arises = chains.map(({ of }) => -Math.expm1((-of.per1000h * HOURS) / 1000));
	const passing = states.map((from) =>
		states.map((to) => to.reduce((p, on, k) => p * (from[k] ? (on ? 1 : 0) : on ? arises[k] : 1 - arises[k]), 1))
	);
	const forward: number[][] = [];
	for (let t = 0; t < REBUILDS; t++)
		forward.push(
			states.map((state, s) => {
				const before =
					t === 0
						? state.reduce((p, on, k) => p * (on ? chains[k].of.prior : 1 - chains[k].of.prior), 1)
						: forward[t - 1].reduce((sum, p, from) => sum + p * passing[from][s], 0);
				return before * emission[t][s];
			})
		);
	const backward: number[][] = Array.from({ length: REBUILDS }, () => states.map(() => 1));
	for (let t = REBUILDS - 2; t >= 0; t--)
		backward[t] = states.map((_, from) =>
			states.reduce((sum, __, to) => sum + passing[from][to] * emission[t + 1][to] * backward[t + 1][to], 0)
		);
	return forward.map((p, t) => {
		const total = p.reduce((sum, value, s) => sum + value * backward[t][s], 0);
		return chains.map(
			(_, k) => p.reduce((sum, value, s) => (states[s][k] ? sum + value * backward[t][s] : sum), 0) / total
		);
	});
}

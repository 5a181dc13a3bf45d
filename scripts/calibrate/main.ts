// Holds every probability that the bench shows against shops with known truth, and prints how they agree.
// Usage: npm run calibrate -- [--seeds 20] [--from 1] [--world demo]
import { execFile } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { readSheet } from '../../core/src/record';
import { badLots, markedMates, wornLots } from './badLot';
import { verdicts, type Shape } from './conformity';
import { plantedTruth } from './causes';
import { falseAlarms } from './falseAlarms';
import { fixes } from './fixes';
import { heardAtLag, saidOfLeaks, type HeardAtLag } from './leaks';
import { otherEnds } from './otherEnds';
import { changedRates, fastParts, oneInspectionALife, wrongPrior } from './kinds';
import { bins, counts, summary, type Seeded } from './reliability';
import type { ShopForecasts } from './forecasts';
import { worlds } from './world';

const sheetText = readFileSync(new URL('../../demo/sheets/marram.json', import.meta.url), 'utf8');
const readMarram = readSheet(sheetText);
if (readMarram.kind !== 'sheet') throw new Error('the demo sheet has faults');
const sheetOfCauses = readMarram.sheet;

const { values } = parseArgs({
	options: { seeds: { type: 'string' }, from: { type: 'string' }, world: { type: 'string', multiple: true } }
});
const from = Number(values.from ?? 1);
const seeds = Array.from({ length: Number(values.seeds ?? 20) }, (_, i) => from + i);
const chosen = values.world ?? Object.keys(worlds);

type All = Record<keyof ShopForecasts, Seeded[]>;
const results = new Map(chosen.map((world): [string, All] => [world, { pumps: [], parts: [], sizes: [] }]));

// Shops are independent of each other: as many at a time as there are processors.
const simulate = fileURLToPath(new URL('./simulate.ts', import.meta.url));
const MOST_BYTES = 2 ** 28;
function workOne(world: string, seed: number): Promise<void> {
	return new Promise((resolve, reject) => {
		const args = ['--import', 'tsx', simulate, world, String(seed)];
		execFile(process.execPath, args, { maxBuffer: MOST_BYTES }, (error, stdout) => {
			if (error) return reject(error);
			const forecasts = JSON.parse(stdout) as ShopForecasts;
			const all = results.get(world)!;
			for (const key of ['pumps', 'parts', 'sizes'] as const)
				for (const forecast of forecasts[key]) all[key].push({ ...forecast, seed });
			process.stderr.write(`${world}, seed ${seed}\n`);
			resolve();
		});
	});
}
const waiting = seeds.flatMap((seed) => chosen.map((world) => [world, seed] as const));
await Promise.all(
	Array.from({ length: availableParallelism() }, async () => {
		for (let next = waiting.shift(); next; next = waiting.shift()) await workOne(...next);
	})
);

const percent = (value: number) => `${(100 * value).toFixed(1)} %`;
const row = (...cells: (string | number)[]) => console.log(`| ${cells.join(' | ')} |`);
const head = (...cells: string[]) => {
	console.log();
	row(...cells);
	row(...cells.map(() => '---'));
};
const nameOf = new Map(
	Object.entries({
		demo: 'the demo’s own generator',
		runsIn: 'lognormal rates, parts run in',
		speedsUp: 'wear speeds up towards the limit',
		unlikeDuty: 'pumps of very unlike duty, undeclared',
		renewsSoft: 'a shop that renews all soft parts',
		gaugesOff: 'gauges off by half their certificate'
	})
);

console.log(`${seeds.length} shops of 12 pumps over four years in each world, seeds ${seeds[0]} to ${seeds.at(-1)}.`);
const what = {
	pumps: 'any size beyond or damaged by the next rebuild, a pump',
	parts: 'the same, one part',
	sizes: 'one size beyond its limit by then'
} as const;
for (const key of ['pumps', 'parts', 'sizes'] as const) {
	console.log(`\nP(${what[key]})`);
	head(
		'world',
		'forecasts',
		'said',
		'happened',
		'Brier',
		'reference’s',
		'ratio',
		'base rate’s',
		'sharpness ÷ reference’s'
	);
	for (const [world, all] of results) {
		const whole = summary(all[key]);
		row(
			nameOf.get(world)!,
			whole.count,
			percent(whole.said),
			percent(whole.happened),
			whole.brier.toFixed(4),
			whole.referenceBrier.toFixed(4),
			(whole.brier / whole.referenceBrier).toFixed(3),
			whole.baseBrier.toFixed(4),
			(whole.sharpness / whole.referenceSharpness).toFixed(2)
		);
	}
	head('world', 'bin', 'forecasts', 'said', 'happened', 'said − happened', '95 % by seed');
	const edges = key === 'pumps' ? [0, 0.2, 0.4, 0.6, 0.8, 1] : [0, 0.01, 0.03, 0.1, 0.3, 1];
	const MATURE = 10; // lives of a kind on record, from which the worlds other than the demo’s are held to it
	for (const [world, all] of results)
		for (const bin of bins(world === 'demo' ? all[key] : all[key].filter(({ lives }) => lives >= MATURE), edges))
			row(
				nameOf.get(world)!,
				`${bin.from}–${bin.to}`,
				bin.count,
				percent(bin.said),
				percent(bin.happened),
				percent(bin.said - bin.happened),
				`± ${percent(bin.halfWidth)}`
			);
}

console.log('\nWear beyond a limit by duty: expected and happened');
head('world', 'duty', 'expected', 'happened', 'happened ÷ said');
const byDuty = (world: string, list: readonly Seeded[], dutyOf: (forecast: Seeded) => string) => {
	for (const duty of new Set(list.map(dutyOf))) {
		const { expected, happened } = counts(list.filter((sample) => dutyOf(sample) === duty));
		row(nameOf.get(world)!, duty, expected.toFixed(1), happened, (happened / expected).toFixed(2));
	}
};
const FROM_REBUILD = 3;
const harshOf = ({ harshness }: Seeded) => (harshness < 0.8 ? 'mild' : harshness > 1.25 ? 'harsh' : 'middle');
for (const [world, { sizes }] of results) {
	if (world === 'unlikeDuty')
		byDuty(
			world,
			sizes.filter(({ rebuild }) => rebuild >= FROM_REBUILD),
			(sample) => `${harshOf(sample)}, undeclared, from the third rebuild`
		);
	else byDuty(world, sizes, ({ dutyClass }) => `${dutyClass}, declared`);
}

console.log('\nParts whose age nobody knows, and those of known age');
head('world', 'age', 'forecasts', 'said', 'happened');
for (const [world, { parts }] of results)
	for (const ageKnown of [false, true]) {
		const list = parts.filter((part) => part.ageKnown === ageKnown);
		if (list.length === 0) continue;
		const { count, said, happened } = summary(list);
		row(nameOf.get(world)!, ageKnown ? 'known' : 'unknown', count, percent(said), percent(happened));
	}

console.log('\nOne kind of size in a small fleet');
head('what', 'said', 'happened');
const fast = fastParts(250, from);
row(
	`${fast.parts} parts measured at 2.5 to 4 times their kind over two intervals`,
	percent(fast.said),
	percent(fast.happened)
);
for (const since of [0, 1] as const) {
	const { changed, all } = changedRates(40, from, since);
	const seen = since === 0 ? 'not looked at since' : 'one look since';
	row(
		`${changed.parts} parts that wear three times as fast from their second look on, ${seen}`,
		percent(changed.said),
		percent(changed.happened)
	);
	row('the best that could be said of them', percent(changed.atBest), percent(changed.happened));
	row(`they and the other ${all.parts - changed.parts}, which do not`, percent(all.said), percent(all.happened));
}
const seenOnce = [
	['the same pump', 1, false],
	['one of six pumps', 6, false],
	['a pump known to be ordinary', 6, true]
] as const;
for (const [name, pumps, hardnessKnown] of seenOnce) {
	const inspection = oneInspectionALife(200, from, pumps, hardnessKnown);
	row(
		`new part at 1,500 h after six lives of one look, in ${name}: 5, 50, 95 % of fits`,
		`${percent(inspection.low)}, ${percent(inspection.middle)}, ${percent(inspection.high)}`,
		percent(inspection.truth)
	);
}
for (const factor of [0.5, 2])
	for (const lives of [0, 10, 40]) {
		const { said, happened } = wrongPrior(factor, lives, 40, from);
		row(`prior wrong by × ${factor}, after ${lives} lives`, percent(said), percent(happened));
	}

console.log(
	'\nOther ends of life at one station, 300 lives recorded: what is said of a part for the next 2000 h, and what is true'
);
head('shape', 'ends recorded, on average', 'age', 'said', '5 to 95 % of shops', 'true');
for (const [shape, expected, age] of [
	[2.5, 7, 3000],
	[0.7, 7, 3000],
	[1.3, 7, 0],
	[1.3, 0.12, 0],
	[1.3, 0.12, 3000]
] as const) {
	const { said, low, high, truth } = otherEnds(shape, expected, age, 100, from);
	row(shape, expected, `${age} h`, percent(said), `${percent(low)} to ${percent(high)}`, percent(truth));
}

console.log('\nThe verdict on a limit, the true worst place exactly at it');
head('places', 'shape', 'inside (accepted bad)', 'beyond (scrapped good)');
for (const k of [1, 2, 6, 12])
	for (const shape of ['even', 'tapered', 'oneSided'] satisfies Shape[]) {
		const { inside, beyond } = verdicts(k, shape, 0, 4000, from);
		row(k, shape, percent(inside), percent(beyond));
	}
head('places', 'true worst, in u inside the limit', 'inside', 'too close', 'beyond');
for (const k of [1, 2, 6, 12])
	for (const off of [-4, -2, -1, 1, 2, 4]) {
		const { inside, tooClose, beyond } = verdicts(k, 'even', off, 2000, from);
		row(k, off, percent(inside), percent(tooClose), percent(beyond));
	}

console.log(
	'\nFleets of 12 pumps without a cause at any one place, marks kept: in how many of 200 anything stands out'
);
head('pumps', 'within a pump', 'against other pumps', 'first pump as a whole', 'another as a whole');
for (const [rates, name] of [
	['alike', 'all at the rates of their model'],
	['tenfold', 'one factor each, over a decade'],
	['firstHarsh', 'the first at four times the rates'],
	['own', 'rates of their own over one and a half decades']
] as const) {
	const { alarms, shopAlarms, firstHarsh, otherHarsh } = falseAlarms(200, from, rates);
	row(name, alarms, shopAlarms, firstHarsh, otherHarsh);
}

console.log(
	'\nThe worst of 36 alike places is acted on: called worked, by its own record and held against the other places'
);
head('inspections each', 'found usually', 'found there before', 'acts', 'by its own record', 'against the others');
for (const inspections of [4, 6, 12])
	for (const [usual, bad] of [
		[0.2, 0.2],
		[0.4, 0.4],
		[0.05, 0.7],
		[0.1, 0.9]
	]) {
		const { chosen, byItself, againstOthers } = fixes(300, from, inspections, usual, bad);
		row(inspections, percent(usual), percent(bad), chosen, percent(byItself / chosen), percent(againstOthers / chosen));
	}

console.log('\nCauses planted from the network itself, four rebuilds a pump');
const told = seeds.map((seed) => plantedTruth(sheetOfCauses, 20, seed));
saidAndSo(told.flatMap(({ said }) => said));
const sumOf = (key: 'planted' | 'first' | 'aboveAll') => told.reduce((sum, truth) => sum + truth[key], 0);
console.log(
	`\nFurthest from exact inference over all joint states: ${Math.max(...told.map(({ furthest }) => furthest)).toExponential(1)}. One cause planted and everything looked for: first at the second rebuild in ${sumOf('first')} of ${sumOf('planted')}, above all others together in ${sumOf('aboveAll')}.`
);

const lots = badLots(200, from);
const worn = wornLots(200, from);
const mates = markedMates(200, from);
console.log(
	`\nA lot that tears four times as often, among six: stands out first in ${lots.found} of ${lots.fleets} fleets; without one anything stands out in ${lots.alarms}. One whose sizes pass their limit in half the hours, where each lot was in use for a while: first in ${worn.found} of ${worn.fleets}; without one anything in ${worn.alarms}. Packings on marked plungers that live half as long: told from the others in ${mates.found} of ${mates.fleets}; where they live alike, in ${mates.alarms}.`
);

console.log('\nLeaks planted on the test rig, three plungers and two at 180°');
const LEAKING = 40;
/** Pumps of three at one lag, a seed. */
const HEARD_A_LAG = 20;
saidAndSo(seeds.flatMap((seed) => saidOfLeaks(LEAKING, seed)));

console.log(
	'\n### Rig by the lag of its line: healthy pumps blamed (target 1 % at most), leaks of 3 % or more named (95 % up to 0.3)\n'
);
head('Ω·τ', 'healthy', 'blamed', 'leaking', 'named right', 'cannot be told');
for (const lag of [0, 0.03, 0.1, 0.3, 1, 5]) {
	const heard = seeds.map((seed) => heardAtLag(lag, HEARD_A_LAG, seed));
	const sum = (key: keyof HeardAtLag) => heard.reduce((total, other) => total + other[key], 0);
	const [leaking, blamed] = [sum('leaking'), sum('blamed')];
	const named = leaking > 0 ? percent(sum('named') / leaking) : 'none';
	row(lag, sum('healthy'), percent(blamed / Math.max(1, sum('healthy'))), leaking, named, sum('hidden'));
}

/** What was said in bins of how likely, and how often it was so. */
function saidAndSo(said: readonly { readonly p: number; readonly so: boolean }[]): void {
	head('said', 'times', 'said on average', 'so');
	const edges = [0, 0.02, 0.1, 0.3, 0.7, 0.9, 0.98, 1.01];
	for (const [i, low] of edges.slice(0, -1).entries()) {
		const here = said.filter(({ p }) => p >= low && p < edges[i + 1]);
		if (here.length === 0) continue;
		row(
			`${percent(low)} to ${percent(Math.min(1, edges[i + 1]))}`,
			here.length,
			percent(here.reduce((sum, { p }) => sum + p, 0) / here.length),
			percent(here.filter(({ so }) => so).length / here.length)
		);
	}
}

import { partType } from '../../part/register';
import type { OnlyWith } from './primitives';
import type { ModelSheet } from './schema';
import { buildOrderProblems } from './orderProblems';
import type { Station } from './station';
import { stages, type Ask, type Step } from './step';

export interface SheetProblem {
	readonly path: (string | number)[];
	readonly message: string;
	/** Set if there is one sure way to mend it. */
	readonly code?: 'opensNothing' | 'notTakenOut' | 'namesItself';
}
type Path = readonly (string | number)[];

/** What a schema of single fields cannot say: keys are unique, references lead somewhere, nothing goes in a circle. */
export function* sheetProblems(sheet: ModelSheet): Generator<SheetProblem> {
	for (const list of [
		'assemblies',
		'variants',
		'scopes',
		'tools',
		'products',
		'steps',
		'stations',
		'subAssemblies'
	] as const)
		yield* repeatedKeys([list], keysOf(sheet[list]));
	const known = new Known(sheet);
	for (const [i, scope] of sheet.scopes.entries()) {
		yield* known.all('scopes', scope.offers, ['scopes', i, 'offers']);
		yield* scopeProblems(sheet, scope.key, ['scopes', i]);
	}
	for (const [i, station] of sheet.stations.entries()) yield* stationProblems(station, known, sheet, ['stations', i]);
	for (const [i, step] of sheet.steps.entries()) yield* stepProblems(step, i, sheet, known);
	yield* circles(sheet.stations, ({ gates }) => gates, 'gates');
	yield* kitProblems(sheet, known);
	yield* buildOrderProblems(sheet);
	for (const [i, { stations }] of sheet.lookAlikes.entries())
		yield* known.all('stations', stations, ['lookAlikes', i, 'stations']);
	if (sheet.crank && sheet.crank.phasesDeg.length !== sheet.cylinders)
		yield { path: ['crank', 'phasesDeg'], message: `one angle for each of ${sheet.cylinders} cylinders` };
}

const keysOf = (list: readonly { readonly key: string }[]): string[] => list.map(({ key }) => key);

function* repeatedKeys(list: Path, keys: readonly string[]): Generator<SheetProblem> {
	const seen = new Set<string>();
	for (const [index, key] of keys.entries()) {
		if (seen.has(key)) yield { path: [...list, index, 'key'], message: `"${key}" is used twice` };
		seen.add(key);
	}
}

const singular = {
	assemblies: 'an assembly',
	variants: 'a variant',
	scopes: 'a scope',
	tools: 'a tool',
	products: 'a product',
	stations: 'a station',
	steps: 'a step',
	subAssemblies: 'a sub-assembly',
	goesIn: 'a station or sub-assembly'
} as const;
type Listed = keyof typeof singular;

// The keys of a sheet, by what they name.
class Known {
	readonly #keys: Readonly<Record<Listed, ReadonlySet<string>>>;
	readonly #choices: ReadonlyMap<string, ReadonlySet<string>>;
	constructor(sheet: ModelSheet) {
		const keys = (list: Exclude<Listed, 'goesIn'>) => new Set(keysOf(sheet[list]));
		this.#keys = {
			assemblies: keys('assemblies'),
			variants: keys('variants'),
			scopes: keys('scopes'),
			tools: keys('tools'),
			products: keys('products'),
			stations: keys('stations'),
			steps: keys('steps'),
			subAssemblies: keys('subAssemblies'),
			goesIn: new Set([...keys('stations'), ...keys('subAssemblies')])
		};
		this.#choices = new Map(sheet.variants.map(({ key, choices }) => [key, new Set(keysOf(choices))]));
	}
	*one(list: Listed, key: string | undefined, path: Path): Generator<SheetProblem> {
		if (key !== undefined && !this.#keys[list].has(key))
			yield { path: [...path], message: `"${key}" is not ${singular[list]} of this sheet` };
	}
	*all(list: Listed, keys: readonly string[], path: Path): Generator<SheetProblem> {
		for (const [i, key] of keys.entries()) {
			yield* this.one(list, key, [...path, i]);
			if (keys.indexOf(key) < i) yield { path: [...path, i], message: `"${key}" stands here twice` };
		}
	}
	*condition(onlyWith: OnlyWith, path: Path): Generator<SheetProblem> {
		for (const [variant, choices] of Object.entries(onlyWith ?? {})) {
			const at = [...path, 'onlyWith', variant];
			const known = this.#choices.get(variant);
			if (!known) yield { path: at, message: `"${variant}" is not a variant of this sheet` };
			for (const [i, choice] of choices.entries())
				if (known && !known.has(choice)) yield { path: [...at, i], message: `"${variant}" has no choice "${choice}"` };
		}
	}
}

function* stationProblems(
	station: Station,
	known: Known,
	sheet: Pick<ModelSheet, 'products' | 'stations'>,
	path: Path
): Generator<SheetProblem> {
	const { key, mates, mayStayIn, gates, spoils, face } = station;
	yield* known.one('assemblies', station.in, [...path, 'in']);
	yield* known.all('assemblies', mayStayIn, [...path, 'mayStayIn']);
	yield* known.all('scopes', station.scopes, [...path, 'scopes']);
	yield* known.condition(station.onlyWith, path);
	for (const [i, { onlyWith }] of station.cautions.entries())
		yield* known.condition(onlyWith, [...path, 'cautions', i]);
	yield* productProblems(station, sheet.products, path);
	for (const [name, keys] of [
		['mates', mates],
		['gates', gates],
		['spoils', spoils]
	] as const) {
		yield* known.all('stations', keys, [...path, name]);
		if (keys.includes(key)) yield { path: [...path, name], message: 'names the station itself', code: 'namesItself' };
	}
	yield* known.one('stations', face.mate, [...path, 'face', 'mate']);
	yield* mateProblems(station, sheet, path);
	for (const [i, { tool }] of station.tools.entries()) yield* known.one('tools', tool, [...path, 'tools', i, 'tool']);
	for (const [i, { product }] of station.products.entries())
		yield* known.one('products', product, [...path, 'products', i, 'product']);
	yield* repeatedKeys([...path, 'characteristics'], keysOf(station.characteristics));
	yield* characteristicProblems(station, path);
	const { name, design = [] } = partType(station.type);
	for (const value of Object.keys(station.design))
		if (!design.some((designValue) => designValue.key === value))
			yield { path: [...path, 'design', value], message: `a ${name} has no design value "${value}"` };
}

// What a part faces has to be open with it.
function* mateProblems(
	{ face, scopes }: Station,
	{ stations }: Pick<ModelSheet, 'stations'>,
	path: Path
): Generator<SheetProblem> {
	const mate = stations.find(({ key }) => key === face.mate);
	const shut = mate && scopes.filter((scope) => !mate.scopes.includes(scope));
	if (shut && shut.length > 0)
		yield { path: [...path, 'face', 'mate'], message: `"${mate.key}" is not opened in the scope "${shut[0]}"` };
}

// What attacks an elastomer does not go on it.
function* productProblems(
	{ products: used, elastomer }: Station,
	products: ModelSheet['products'],
	path: Path
): Generator<SheetProblem> {
	for (const [i, { product }] of used.entries()) {
		const known = products.find(({ key }) => key === product);
		if (elastomer && known?.notOn.includes(elastomer))
			yield { path: [...path, 'products', i, 'product'], message: `"${known.key}" attacks ${elastomer}` };
	}
}

function* characteristicProblems(station: Station, at: Path): Generator<SheetProblem> {
	const { name, characteristics, patterns } = partType(station.type);
	for (const [place, measured] of station.characteristics.entries()) {
		const known = characteristics.find((characteristic) => characteristic.key === measured.key);
		const path = [...at, 'characteristics', place];
		if (!known) yield { path: [...path, 'key'], message: `a ${name} has no "${measured.key}"` };
		else if (known.unit !== measured.unit) yield { path: [...path, 'unit'], message: `is measured in ${known.unit}` };
		else if (!known.limitless && measured.min === undefined && measured.max === undefined)
			yield { path: [...path, 'min'], message: 'needs a discard limit: min or max' };
		else if (known.form === 'flatness' && !measured.face)
			yield { path: [...path, 'face'], message: 'needs the rows and columns of the dial' };
		else if (known.form === 'runout' && (measured.grid?.anglesDeg.length ?? 0) < 4)
			yield { path: [...path, 'grid'], message: 'needs a grid of at least four angles' };
		for (const pattern of measured.suspect ?? [])
			if (!patterns.some((rule) => rule.pattern === pattern))
				yield { path: [...path, 'suspect'], message: `a ${name} does not show "${pattern}"` };
	}
}

// A blocking step stands before all that is not; `after`, windows and locks name steps in their order, so that nothing waits in a circle.
function* stepProblems(step: Step, index: number, sheet: ModelSheet, known: Known): Generator<SheetProblem> {
	const path = ['steps', index];
	const place = (key: string) => sheet.steps.findIndex((candidate) => candidate.key === key);
	const earlier = function* (key: string, at: Path): Generator<SheetProblem> {
		if (place(key) < 0 || place(key) >= index) yield { path: [...at], message: `"${key}" is not an earlier step` };
	};
	yield* known.all('scopes', step.scopes, [...path, 'scopes']);
	yield* known.all(step.stage === 'build' ? 'goesIn' : 'stations', step.stations, [...path, 'stations']);
	yield* known.one('subAssemblies', step.joins, [...path, 'joins']);
	if (step.joins !== undefined && (step.stage !== 'build' || step.stations.length > 0))
		yield { path: [...path, 'joins'], message: 'a build step that joins a sub-assembly names no stations itself' };
	yield* known.all('tools', step.tools, [...path, 'tools']);
	yield* known.condition(step.onlyWith, path);
	for (const [i, caution] of step.cautions.entries())
		yield* known.condition(caution.onlyWith, [...path, 'cautions', i]);
	yield* repeatedKeys([...path, 'ways'], keysOf(step.ways));
	for (const before of step.after) yield* earlier(before, [...path, 'after']);
	for (const recalled of step.recalls) {
		const at = [...path, 'recalls'];
		yield* earlier(recalled, at);
		if (sheet.steps[place(recalled)]?.asks.length === 0) yield { path: at, message: `"${recalled}" asks nothing` };
	}
	const [previous] = sheet.steps.slice(Math.max(0, index - 1), index);
	if (previous && stages.indexOf(previous.stage) > stages.indexOf(step.stage))
		yield { path: [...path, 'stage'], message: `stands after a step of the stage "${previous.stage}"` };
	if (step.blocking && sheet.steps.slice(0, index).some(({ blocking }) => !blocking))
		yield { path: [...path, 'blocking'], message: 'blocking steps come before all others' };
	if (step.lays) yield* known.one('assemblies', step.lays.assembly, [...path, 'lays', 'assembly']);
	if (step.within) {
		yield* earlier(step.within.of, [...path, 'within', 'of']);
		yield* known.one('products', step.within.product, [...path, 'within', 'product']);
		const product = sheet.products.find(({ key }) => key === step.within?.product);
		if (product && product.workMinutes === undefined)
			yield { path: [...path, 'within', 'product'], message: `"${product.key}" has no working time` };
	}
	if (step.locks) {
		const { until, unless } = step.locks;
		if (place(until) <= index) yield { path: [...path, 'locks', 'until'], message: `"${until}" is not a later step` };
		yield* known.all('steps', unless, [...path, 'locks', 'unless']);
	}
	if (step.crank && typeof step.crank.cylinder === 'number' && step.crank.cylinder > sheet.cylinders)
		yield { path: [...path, 'crank', 'cylinder'], message: `there are ${sheet.cylinders} cylinders` };
	for (const [i, ask] of step.asks.entries()) {
		const at = [...path, 'asks', i];
		if (ask.kind === 'choice') yield* meaningProblems(ask, sheet, known, at);
		if (ask.kind === 'choice' && new Set(ask.choices.map(({ text }) => text)).size < ask.choices.length)
			yield { path: [...at, 'choices'], message: 'names one choice twice' };
		if (ask.kind !== 'count' && ask.kind !== 'size') continue;
		yield* known.one('stations', ask.station, [...at, 'station']);
		const station = sheet.stations.find(({ key }) => key === ask.station);
		if (ask.kind === 'size' && station && !station.characteristics.some(({ key }) => key === ask.characteristic))
			yield { path: [...at, 'characteristic'], message: `"${station.key}" has no size "${ask.characteristic}"` };
	}
}

function* meaningProblems(
	{ choices }: Extract<Ask, { kind: 'choice' }>,
	{ stations }: ModelSheet,
	known: Known,
	path: Path
): Generator<SheetProblem> {
	for (const [i, { means }] of choices.entries()) {
		if (typeof means === 'string' || !('finding' in means)) continue;
		const { station: key, pattern } = means.finding;
		const at = [...path, 'choices', i, 'means', 'finding'];
		yield* known.one('stations', key, [...at, 'station']);
		const station = stations.find((candidate) => candidate.key === key);
		if (station && !partType(station.type).patterns.some((rule) => rule.pattern === pattern))
			yield { path: [...at, 'pattern'], message: `a ${station.type} does not show "${pattern}"` };
	}
}

/**
 * A scope opens at least one part. Where its strip steps say what they handle, they handle all of it.
 */
function* scopeProblems({ stations, steps }: ModelSheet, scope: string, path: Path): Generator<SheetProblem> {
	const opened = stations.filter((station) => station.scopes.includes(scope));
	if (opened.length === 0) yield { path: [...path], message: 'opens no station', code: 'opensNothing' };
	const strip = steps.filter((step) => step.scopes.includes(scope) && step.stage === 'strip');
	const handled = new Set(strip.flatMap((step) => step.stations));
	if (handled.size === 0) return;
	const left = opened.filter(({ key }) => !handled.has(key)).map(({ key }) => `"${key}"`);
	if (left.length > 0)
		yield { path: [...path], message: `no strip step takes out ${left.slice(0, 5).join(', ')}`, code: 'notTakenOut' };
}

function* circles(
	stations: readonly Station[],
	next: (station: Station) => readonly string[],
	field: string
): Generator<SheetProblem> {
	const byKey = new Map(stations.map((station) => [station.key, station]));
	const state = new Map<string, 'open' | 'done'>();
	// Depth first without recursion: a chain may be as long as the sheet.
	for (const [index, { key: start }] of stations.entries()) {
		const path: { key: string; rest: string[] }[] = [];
		const enter = (key: string) => {
			state.set(key, 'open');
			path.push({ key, rest: [...next(byKey.get(key)!)] });
		};
		if (!state.has(start)) enter(start);
		while (path.length > 0) {
			const top = path[path.length - 1];
			const to = top.rest.pop();
			if (to === undefined) {
				state.set(top.key, 'done');
				path.pop();
			} else if (state.get(to) === 'open') {
				const circle = [...path.slice(path.findIndex(({ key }) => key === to)).map(({ key }) => key), to];
				yield { path: ['stations', index, field], message: `goes in a circle: ${circle.join(' → ')}` };
			} else if (byKey.has(to) && !state.has(to)) enter(to);
		}
	}
}

function* kitProblems(sheet: ModelSheet, known: Known): Generator<SheetProblem> {
	for (const [i, kit] of sheet.kits.entries()) {
		yield* known.condition(kit.onlyWith, ['kits', i]);
		if (sheet.kits.findIndex(({ number }) => number === kit.number) < i)
			yield { path: ['kits', i, 'number'], message: `"${kit.number}" is used twice` };
		for (const [j, { station: key }] of kit.holds.entries()) {
			const path = ['kits', i, 'holds', j, 'station'];
			yield* known.one('stations', key, path);
			const station = sheet.stations.find((candidate) => candidate.key === key);
			if (station && !meet(kit.onlyWith, station.onlyWith))
				yield { path, message: `"${key}" is of another variant than the kit` };
		}
	}
}

/** Whether there can be a pump with which both apply. */
const meet = (a: OnlyWith = {}, b: OnlyWith = {}): boolean =>
	Object.entries(a).every(([variant, choices]) => !b[variant] || b[variant].some((text) => choices.includes(text)));

import { buildSteps, holderOf, orderFacts, subAssembliesInScope } from './closing';
import type { SheetProblem } from './problems';
import type { ModelSheet } from './schema';

/** What is wrong with how a sheet puts its pump together: sub-assemblies, and the order of things in each scope. */
export function* buildOrderProblems(sheet: ModelSheet): Generator<SheetProblem> {
	const inner = [...subAssemblyProblems(sheet)];
	yield* inner;
	yield* ruleProblems(sheet);
	if (inner.length > 0) return;
	for (const [i, { key }] of sheet.scopes.entries()) yield* scopeOrderProblems(sheet, key, i);
}

function* subAssemblyProblems({ subAssemblies, stations }: ModelSheet): Generator<SheetProblem> {
	const known = new Set([...stations, ...subAssemblies].map(({ key }) => key));
	for (const [i, { key, parts, per }] of subAssemblies.entries()) {
		const path = ['subAssemblies', i];
		if (stations.some((station) => station.key === key))
			yield { path: [...path, 'key'], message: `"${key}" is a station too` };
		for (const [j, part] of parts.entries()) {
			const at = [...path, 'parts', j];
			if (!known.has(part)) yield { path: at, message: `"${part}" is not a station or sub-assembly of this sheet` };
			const first = subAssemblies.findIndex((subAssembly) => subAssembly.parts.includes(part));
			if (first < i || parts.indexOf(part) < j)
				yield { path: at, message: `"${part}" is a part of "${subAssemblies[first].key}" already` };
			const inner = [...stations, ...subAssemblies].find((other) => other.key === part);
			if (per === 'cylinder' && inner?.per === 'pump')
				yield { path: at, message: `"${part}" is there once for the pump, "${key}" at each cylinder` };
		}
		if (within(subAssemblies, key, key)) yield { path: [...path, 'parts'], message: `"${key}" contains itself` };
	}
}

function within(all: ModelSheet['subAssemblies'], key: string, outer: string, seen = new Set<string>()): boolean {
	if (seen.has(outer)) return false;
	seen.add(outer);
	const parts = all.find((unit) => unit.key === outer)?.parts ?? [];
	return parts.includes(key) || parts.some((part) => within(all, key, part, seen));
}

function* ruleProblems({ order, stations, subAssemblies, steps, scopes }: ModelSheet): Generator<SheetProblem> {
	const builds = steps.filter(({ stage }) => stage === 'build');
	const parts = new Set([...stations, ...subAssemblies].map(({ key }) => key));
	const known = new Set([...parts, ...builds.map(({ key }) => key)]);
	for (const [i, rule] of order.entries()) {
		for (const [j, key] of rule.first.entries()) {
			const path = ['order', i, 'first', j];
			if (!known.has(key))
				yield { path, message: `"${key}" is not a station, sub-assembly or build step of this sheet` };
			if (parts.has(key) && builds.some((step) => step.key === key))
				yield { path, message: `"${key}" is a part and a build step` };
		}
		for (const [j, key] of (rule.scopes ?? []).entries())
			if (!scopes.some((scope) => scope.key === key))
				yield { path: ['order', i, 'scopes', j], message: `"${key}" is not a scope of this sheet` };
	}
}

// In each scope: no rule contradicts another, every sub-assembly goes in, and the plan itself keeps to the rules.
function* scopeOrderProblems(sheet: ModelSheet, scope: string, index: number): Generator<SheetProblem> {
	const path = ['scopes', index];
	const plan = buildSteps(sheet, { scope });
	const facts = orderFacts(sheet, { scope }, plan);
	const circle = circleIn(facts);
	if (circle) {
		yield { path: ['order'], message: `in the scope "${scope}" the order goes in a circle: ${circle.join(' → ')}` };
		return;
	}
	const joined = subAssembliesInScope(sheet, { scope });
	const goesIn = new Set(plan.flatMap(({ stations }) => stations));
	for (const { key } of joined)
		if (!goesIn.has(key) && !holderOf(joined, key))
			yield { path, message: `no build step puts the sub-assembly "${key}" in` };
	for (const [i, step] of plan.entries()) {
		const again = step.stations.find((key) => plan.slice(0, i).some(({ stations }) => stations.includes(key)));
		if (again) yield { path, message: `"${again}" goes in twice: last at the step "${step.key}"` };
	}
	const place = new Map<string, number>();
	for (const { key, stations, mirrored } of plan) {
		for (const item of stations) if (!place.has(item)) place.set(item, place.size);
		if (!mirrored) place.set(key, place.size);
	}
	// What is in a sub-assembly is in the pump once that is.
	const last = (key: string): number => {
		const holder = holderOf(joined, key);
		return holder ? last(holder.key) : (place.get(key) ?? -1);
	};
	for (const { first, then } of facts) {
		const holder = holderOf(joined, first);
		const together = holder !== undefined && (holder === holderOf(joined, then) || within(joined, then, holder.key));
		const from = together ? (place.get(first) ?? -1) : last(first);
		const to = place.get(then);
		if (to !== undefined && from > to)
			yield { path, message: `the build steps put "${then}" in before "${first}", against the order` };
	}
}

/** The first circle among pairs of what comes before what; undefined where there is none. */
function circleIn(facts: readonly { readonly first: string; readonly then: string }[]): string[] | undefined {
	const next = new Map<string, string[]>();
	for (const { first, then } of facts) next.set(first, [...(next.get(first) ?? []), then]);
	const done = new Set<string>();
	for (const start of next.keys()) {
		// Depth first without recursion: a chain may be as long as the sheet.
		const path: { key: string; rest: string[] }[] = [];
		const enter = (key: string) => path.push({ key, rest: [...(next.get(key) ?? [])] });
		if (!done.has(start)) enter(start);
		while (path.length > 0) {
			const top = path[path.length - 1];
			const to = top.rest.pop();
			if (to === undefined) done.add(path.pop()!.key);
			else if (path.some(({ key }) => key === to))
				return [...path.slice(path.findIndex(({ key }) => key === to)).map(({ key }) => key), to];
			else if (!done.has(to)) enter(to);
		}
	}
	return undefined;
}

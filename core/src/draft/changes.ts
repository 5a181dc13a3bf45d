import type { ModelSheet } from '../record';

/** One difference between two versions of a sheet. */
export interface SheetChange {
	readonly about: 'part' | 'step' | 'kit' | 'subAssembly' | 'sheet';
	readonly kind: 'added' | 'removed' | 'moved' | 'changed';
	/** Name of the part, text of the step, number of the kit; of the sheet itself the field. */
	readonly name: string;
	readonly key: string;
	/** Fields that differ, if it was changed. */
	readonly fields: readonly string[];
}

/** The differences from one version of a sheet to another: parts in their order, steps, sub-assemblies, kits, and the sheet's own fields. */
export function changesBetween(before: ModelSheet, after: ModelSheet): SheetChange[] {
	const lists = ['stations', 'steps', 'subAssemblies', 'kits'] as const;
	const own = Object.keys({ ...before, ...after }).filter(
		(field) => !(lists as readonly string[]).includes(field) && field !== 'revision'
	);
	return [
		...listChanges('part', before.stations, after.stations, ({ name }) => name),
		...listChanges('step', before.steps, after.steps, ({ text }) => text),
		...listChanges('subAssembly', before.subAssemblies, after.subAssemblies, ({ name }) => name),
		...listChanges(
			'kit',
			before.kits.map((kit) => ({ ...kit, key: kit.number })),
			after.kits.map((kit) => ({ ...kit, key: kit.number })),
			({ name }) => name
		),
		...own
			.filter((field) => differs(before[field as keyof ModelSheet], after[field as keyof ModelSheet]))
			.map((field): SheetChange => ({ about: 'sheet', kind: 'changed', name: field, key: field, fields: [field] }))
	];
}

// Fields in another order are the same.
const plain = (value: unknown): string =>
	JSON.stringify(value, (_, inner: unknown) =>
		typeof inner === 'object' && inner !== null && !Array.isArray(inner)
			? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
			: inner
	);
const differs = (a: unknown, b: unknown): boolean => plain(a) !== plain(b);

function listChanges<T extends { readonly key: string }>(
	about: SheetChange['about'],
	before: readonly T[],
	after: readonly T[],
	nameOf: (item: T) => string
): SheetChange[] {
	const old = new Map(before.map((other) => [other.key, other]));
	const kept = new Set(after.map(({ key }) => key));
	const change = (kind: SheetChange['kind'], other: T, fields: readonly string[] = []): SheetChange => ({
		about,
		kind,
		name: nameOf(other),
		key: other.key,
		fields
	});
	const moved = movedKeys(
		before.filter(({ key }) => kept.has(key)).map(({ key }) => key),
		after.filter(({ key }) => old.has(key)).map(({ key }) => key)
	);
	return [
		...after.flatMap((other) => {
			const was = old.get(other.key);
			if (!was) return [change('added', other)];
			const fields = Object.keys({ ...was, ...other }).filter((field) =>
				differs(was[field as keyof T], other[field as keyof T])
			);
			return [
				...(fields.length > 0 ? [change('changed', other, fields)] : []),
				...(moved.has(other.key) ? [change('moved', other)] : [])
			];
		}),
		...before.filter(({ key }) => !kept.has(key)).map((other) => change('removed', other))
	];
}

// The fewest keys whose move gives the new order: those outside of a longest increasing sequence of old places.
function movedKeys(before: readonly string[], after: readonly string[]): Set<string> {
	const place = new Map(before.map((key, i) => [key, i]));
	const places = after.map((key) => place.get(key)!);
	const ends: number[] = []; // index into places of the smallest end of a sequence of each length
	const previous = new Array<number>(places.length).fill(-1);
	for (const [i, at] of places.entries()) {
		const length = ends.findIndex((end) => places[end] >= at);
		const to = length < 0 ? ends.length : length;
		previous[i] = to === 0 ? -1 : ends[to - 1];
		ends[to] = i;
	}
	const still = new Set<number>();
	for (let i = ends.at(-1) ?? -1; i >= 0; i = previous[i]) still.add(i);
	return new Set(after.filter((_, i) => !still.has(i)));
}

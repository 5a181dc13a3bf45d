/** A list in groups by a key, both in the order in which they first come. */
export function groupBy<T>(list: readonly T[], keyOf: (item: T) => string): Map<string, T[]> {
	const groups = new Map<string, T[]>();
	for (const other of list) {
		const key = keyOf(other);
		const group = groups.get(key);
		if (group) group.push(other);
		else groups.set(key, [other]);
	}
	return groups;
}

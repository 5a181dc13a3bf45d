import type { MeasuredValue } from '../../measure';
import type { Figure, PartContext } from '../partType';

/** The values that a figure needs, or undefined where one of them is not there yet. */
export function have<K extends string>(
	from: Readonly<Partial<Record<string, number>>>,
	...keys: readonly K[]
): Readonly<Record<K, number>> | undefined {
	const found = keys.map((key) => [key, from[key]] as const);
	return found.every(([, value]) => value !== undefined) ? (Object.fromEntries(found) as Record<K, number>) : undefined;
}

/** The first mate on which this was measured in this rebuild. */
export function mateWith(
	{ mates }: PartContext,
	...keys: readonly string[]
): { readonly name: string; readonly size: MeasuredValue } | undefined {
	for (const { name, sizes } of mates) {
		const size = keys.map((key) => sizes[key]).find((known) => known !== undefined);
		if (size) return { name, size };
	}
	return undefined;
}

/** A list with the figure, or an empty one where it cannot be worked out. */
export const figureOr = (found: Figure | undefined): readonly Figure[] => (found ? [found] : []);

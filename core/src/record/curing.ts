import { stationKeysOf, type BuildStep, type ModelSheet, type Product } from './sheet';

/** A product that was put on and has not set yet. */
interface Curing {
	readonly product: Product;
	/** When it has set, ms since 1970. */
	readonly until: number;
}

/**
 * Products of the build steps that are signed off, and when each has set: until then no pressure. The last use of each counts.
 *
 * Shape: `signed` holds the moment at which each step was signed off, ms since 1970; steps without one put nothing on yet.
 */
export function curing(
	{ stations, subAssemblies, products }: Pick<ModelSheet, 'stations' | 'subAssemblies' | 'products'>,
	plan: readonly Pick<BuildStep, 'key' | 'stations' | 'joined'>[],
	signed: { get(key: string): number | undefined }
): Curing[] {
	return products.flatMap((product): Curing[] => {
		const { cureMinutes } = product;
		if (cureMinutes === undefined) return [];
		const uses = plan.flatMap((step) => {
			const parts = step.stations.flatMap((key) => stationKeysOf(subAssemblies, key));
			const used = stations.some(
				({ key, products: on }) => parts.includes(key) && on.some((use) => use.product === product.key)
			);
			return used ? (signed.get(step.key) ?? []) : [];
		});
		return uses.length > 0 ? [{ product, until: Math.max(...uses) + 60_000 * cureMinutes }] : [];
	});
}

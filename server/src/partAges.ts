import { of, type ShopScope } from './db/scope';

/** How long the parts of one cylinder (0: the pump's own) have run, at the pump's last known hours. */
export interface AgesAt {
	readonly cylinder: number;
	readonly parts: number;
	/** Hours on the youngest and on the oldest part whose age is known; left out where none is. */
	readonly known?: { readonly least: number; readonly most: number };
	/** Parts whose fitting is not on record. */
	readonly unknown: number;
}

/** The ages of what sits in a pump, cylinder by cylinder; undefined where the shop has no such pump. Hours. */
export async function partAges(scope: ShopScope, pumpId: string): Promise<AgesAt[] | undefined> {
	if ((await of(scope, 'pump').count({ id: pumpId })) === 0) return undefined;
	const [last] = await of(scope, 'job').all({ pumpId }, { order: [['receivedAt', 'DESC']], limit: 1 });
	const sitting = await of(scope, 'partLife').all({ pumpId, removedJobId: null });
	const cylinders = [...new Set(sitting.map(({ cylinder }) => cylinder))].sort((a, b) => a - b);
	return cylinders.map((cylinder): AgesAt => {
		const here = sitting.filter((life) => life.cylinder === cylinder);
		const hours = here.flatMap(({ fittedHours }) =>
			fittedHours === null || !last ? [] : [Math.max(0, last.pumpHours - fittedHours)]
		);
		return {
			cylinder,
			parts: here.length,
			...(hours.length > 0 ? { known: { least: Math.min(...hours), most: Math.max(...hours) } } : {}),
			unknown: here.length - hours.length
		};
	});
}

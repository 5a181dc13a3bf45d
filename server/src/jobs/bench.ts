import type { SetAside } from '@exetasis/core/decide';
import type { MatFacts } from '@exetasis/core/mat';
import type { Entry } from '@exetasis/core/record';
import { entriesOf } from '../benchLog/entries';
import type { RestedOn } from '../db/tables';
import { of, type ShopScope } from '../db/scope';
import { peopleOf } from '../shops';
import { jobOf, type JobInHand } from './job';
import { matOf } from './mat';

/** Everything that the bench shows of one job. */
export interface Bench extends MatFacts {
	readonly job: JobInHand;
	readonly entries: Entry[];
	readonly people: Record<string, string>;
	/** What a lead let go though it was not put together and proved, and why. */
	readonly unbuilt?: RestedOn['unbuilt'];
	/** Sizes that are not used in forecasts, because wear cannot have made them, with the serial of their pump. */
	readonly setAside: readonly (SetAside & { readonly serial: string })[];
	/** Where a released pump went, as far as it was asked. */
	readonly handover?: RestedOn['handover'];
}

/** The bench of a job; of a released one with the rules, gauges and fits that its release rested on. */
export async function benchOf(scope: ShopScope, jobId: string): Promise<Bench | undefined> {
	const found = await jobOf(scope, jobId);
	if (!found) return undefined;
	const { job, restedOn } = found;
	const mat = await matOf(scope, found);
	const setAside = [...(mat.fleet.setAside ?? []), ...mat.cells.flatMap((cell) => cell.setAside ?? [])];
	return {
		...mat,
		job,
		entries: await entriesOf(scope, jobId),
		setAside: await withSerials(scope, setAside),
		people: await peopleOf(scope),
		...(restedOn?.unbuilt ? { unbuilt: restedOn.unbuilt } : {}),
		...(restedOn?.handover ? { handover: restedOn.handover } : {})
	};
}

/** Each once, though the shop's record, which is rounded, and the part's own past may both leave it out. */
async function withSerials(scope: ShopScope, setAside: readonly SetAside[]): Promise<Bench['setAside']> {
	if (setAside.length === 0) return [];
	const pumps = await of(scope, 'pump').all({ id: setAside.map(({ pump }) => pump) }, { attributes: ['id', 'serial'] });
	const serials = new Map(pumps.map(({ id, serial }) => [id, serial]));
	const named = setAside.flatMap((other) => {
		const serial = serials.get(other.pump);
		return serial === undefined ? [] : [{ ...other, serial }];
	});
	const placeOf = ({ pump, station, characteristic, pumpHours, value }: SetAside) =>
		[pump, station, characteristic, pumpHours, value.toPrecision(5)].join();
	return [...new Map(named.map((part) => [placeOf(part), part])).values()];
}

import type { ModelSheet } from '@exetasis/core/record';
import type { JobRow, PumpRow, RestedOn } from '../db/tables';
import { of, type ShopScope } from '../db/scope';
import { pinnedSheet } from '../sheets';
import { restedOnFrom } from './restedOn';

/** A job with the particulars of its pump. */
export interface JobInHand extends Omit<JobRow, 'shopId' | 'modelSheetId' | 'restedOn'> {
	readonly serial: string;
	readonly tag: string | null;
	readonly site: string | null;
	readonly model: string;
}

/** A job with its sheet; of a released one what its release rested on. */
export interface JobOnSheet {
	readonly job: JobInHand;
	readonly sheet: ModelSheet;
	readonly restedOn?: RestedOn;
}

type JobWithPump = JobRow & { pump: PumpRow & { site: { name: string } | null } };

/** A job of the shop; undefined where it has no such job. */
export async function jobOf(scope: ShopScope, jobId: string): Promise<JobOnSheet | undefined> {
	const found = await of(scope, 'job').one<JobWithPump>(
		{ id: jobId },
		{ include: [{ association: 'pump', include: ['site'] }] }
	);
	if (!found) return undefined;
	const { pump, modelSheetId, restedOn: kept, shopId: _, ...job } = found;
	const restedOn = kept === null ? undefined : restedOnFrom(kept);
	return {
		job: { ...job, serial: pump.serial, tag: pump.tag, site: pump.site?.name ?? null, model: pump.model },
		sheet: await pinnedSheet(scope, modelSheetId),
		...(restedOn ? { restedOn } : {})
	};
}

/** True where the shop has such a job; undefined where it has none. */
export const jobExists = async (scope: ShopScope, jobId: string): Promise<true | undefined> =>
	(await of(scope, 'job').count({ id: jobId })) > 0 || undefined;

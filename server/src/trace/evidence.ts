import { beyondAtInspection, type ShopGauge } from '@exetasis/core/decide';
import type { ModelSheet } from '@exetasis/core/record';
import { countedInspections, type CauseNetwork, type RebuildEvidence } from '@exetasis/core/trace';
import { of, type ShopScope } from '../db/scope';
import { foundAt } from '../db/sql/foundAt';
import { inspections } from '../db/sql/inspections';
import { bandsOfPump, tracesOfPump } from '../db/sql/marksOfPump';
import { sizesOfPump, type SizeAtRebuild } from '../db/sql/sizesOfPump';
import { gaugesOf } from '../gauges';

/** One rebuild of a pump with all that it says of causes. */
export interface RebuildOnRecord extends RebuildEvidence {
	readonly job: string;
	readonly receivedAt: Date;
	readonly released: boolean;
}

/** A pump's rebuilds, oldest first, as evidence. */
export async function evidenceOf(
	scope: ShopScope,
	pumpId: string,
	sheet: ModelSheet,
	network: CauseNetwork
): Promise<RebuildOnRecord[]> {
	const jobs = await of(scope, 'job').all(
		{ pumpId },
		{
			order: [
				['pumpHours', 'ASC'],
				['receivedAt', 'ASC']
			]
		}
	);
	const sizes = [...new Set(network.findings.flatMap((finding) => (finding.by === 'size' ? finding.sizes : [])))];
	const [found, wrong, removed, measured, bands, traces, gauges] = await Promise.all([
		inspections(scope, [pumpId]),
		foundAt(scope, pumpId),
		of(scope, 'partLife').all({ pumpId }),
		sizesOfPump(scope, pumpId, sizes),
		bandsOfPump(scope, pumpId),
		tracesOfPump(scope, pumpId),
		gaugesOf(scope)
	]);
	const failed = new Set(
		removed.flatMap(({ partId, removedJobId, endReason }) =>
			endReason === 'worn' || endReason === 'damaged' ? [`${removedJobId}/${partId}`] : []
		)
	);
	const assembled = new Map(
		found.map(({ job, part, marks }) => [
			`${job}/${part}`,
			marks.flatMap(({ pattern, onset }) => (onset === 'assembly' ? [pattern] : []))
		])
	);
	const counted = countedInspections(found);
	return jobs.map(({ id, pumpHours, receivedAt, releasedAt, duty }): RebuildOnRecord => ({
		job: id,
		receivedAt,
		released: releasedAt !== null,
		pumpHours,
		duty,
		rig: traces.find(({ job }) => job === id)?.verdicts[0],
		inspections: counted
			.filter(({ job }) => job === id)
			.map(({ part, fittedHours, ...inspection }) => ({
				...inspection,
				byAssembly: assembled.get(`${id}/${part}`) ?? [],
				ranHours: fittedHours === null ? null : inspection.pumpHours - fittedHours,
				failed: failed.has(`${id}/${part}`)
			})),
		asFound: wrong
			.filter(({ job }) => job === id)
			.map((other) => ({ station: other.station, cylinder: other.cylinder, wrong: other.wrong ?? undefined })),
		sizes: measured.filter(({ job }) => job === id).flatMap((size) => beyondLimit(sheet, size, gauges)),
		sides: bands.filter(({ job }) => job === id)
	}));
}

function beyondLimit(
	sheet: ModelSheet,
	size: SizeAtRebuild,
	gauges: readonly ShopGauge[]
): RebuildEvidence['sizes'][number][] {
	const station = sheet.stations.find(({ key }) => key === size.station);
	const characteristic = station?.characteristics.find(({ key }) => key === size.characteristic);
	const beyond = station && characteristic && beyondAtInspection(station, characteristic, size, gauges);
	if (beyond === undefined) return [];
	return [{ station: size.station, cylinder: size.cylinder, characteristic: size.characteristic, beyond }];
}

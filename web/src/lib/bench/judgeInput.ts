import type { JudgeInput } from '@exetasis/core/decide';
import type { PartRecord, Station } from '@exetasis/core/record';
import type { Bench, MatCell } from '../server/jobs';

/** What is known of one part on the mat, as the core judges it. */
export const judgeInput = (
	{ gauges, policy, wear }: Pick<Bench, 'gauges' | 'policy' | 'wear'>,
	cell: MatCell,
	station: Station,
	record: PartRecord
): JudgeInput => ({
	station,
	record,
	hours: cell.hours ?? undefined,
	asFitted: cell.asFitted,
	gauges,
	policy,
	wearModels: Object.fromEntries(station.characteristics.map(({ key }) => [key, wear[`${station.key}/${key}`]]))
});

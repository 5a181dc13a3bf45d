import { withLaidDown, type Customs } from '@exetasis/core/draft';
import type { MatCell } from '@exetasis/core/mat';
import { sheetSchema } from '@exetasis/core/record';
import type { Bench } from '@exetasis/server/jobs/bench';
import type { Batch } from './laidDown.svelte';

/** A bench with the parts that lie on this tablet alone, as the server will have them. A batch that gives no sheet is left out. */
export function grownBench(bench: Bench, waiting: readonly Batch[], customs: Customs): Bench {
	const there = new Set(bench.cells.map(({ part }) => part));
	return waiting.reduce<Bench>((before, { parts, behind }) => {
		// Its answer was lost on the way.
		if (parts.some(({ ids }) => Object.values(ids).some((id) => there.has(id)))) return before;
		const bare = parts.map(({ seen: _, ids: __, ...part }) => part);
		const { draft, keys } = withLaidDown(before.sheet, bare, customs, behind);
		const read = sheetSchema.safeParse(draft);
		if (!read.success) return before;
		const cells = parts.flatMap(({ ids }, i) =>
			Object.entries(ids).map(([cylinder, part]) => cellOf(bench, part, keys[i], Number(cylinder)))
		);
		return { ...before, sheet: read.data, cells: [...before.cells, ...cells] };
	}, bench);
}

// Nothing is known of a part that came off for the first time.
const cellOf = ({ job }: Bench, part: string, station: string, cylinder: number): MatCell => ({
	part,
	station,
	cylinder,
	hours: null,
	asFitted: {},
	kept: 0,
	earlierLives: 0,
	age: { kind: 'unknown', seenFor: 0, atMost: job.pumpHours },
	dutyHours: 0,
	earlier: []
});

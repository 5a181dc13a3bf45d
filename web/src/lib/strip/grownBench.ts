import { withLaidDown, withNewSize, type Customs, type SheetDraft } from '@exetasis/core/draft';
import type { MatCell } from '@exetasis/core/mat';
import { sheetSchema } from '@exetasis/core/record';
import type { Bench } from '@exetasis/server/jobs/bench';
import type { Batch, NewSize } from './laidDown.svelte';

/**
 * A bench with the parts and sizes that this tablet alone has, as the server will have them. What gives no sheet is left out.
 */
export const grownBench = (bench: Bench, waiting: readonly (Batch | NewSize)[], customs: Customs): Bench =>
	waiting.reduce(
		(before, next) => ('parts' in next ? withBatch(before, next, customs) : withSize(before, next, customs)),
		bench
	);

function withBatch(before: Bench, { parts, behind }: Batch, customs: Customs): Bench {
	const there = new Set(before.cells.map(({ part }) => part));
	// Its answer was lost on the way.
	if (parts.some(({ ids }) => Object.values(ids).some((id) => there.has(id)))) return before;
	const bare = parts.map(({ seen: _, ids: __, ...part }) => part);
	const { draft, keys } = withLaidDown(before.sheet, bare, customs, behind);
	const cells = parts.flatMap(({ ids }, i) =>
		Object.entries(ids).map(([cylinder, part]) => cellOf(before, part, keys[i], Number(cylinder)))
	);
	return withSheet(before, draft, cells);
}

function withSize(before: Bench, { part, ...size }: NewSize, customs: Customs): Bench {
	const station = before.cells.find((cell) => cell.part === part)?.station;
	const draft = station && withNewSize(before.sheet, { ...size, station }, customs);
	return draft ? withSheet(before, draft) : before;
}

function withSheet(before: Bench, draft: SheetDraft, cells: readonly MatCell[] = []): Bench {
	const { data: sheet } = sheetSchema.safeParse(draft);
	return sheet ? { ...before, sheet, cells: [...before.cells, ...cells] } : before;
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

import type { ModelSheet } from '@exetasis/core/record';
import { of, type ShopScope } from '../db/scope';

interface Cell {
	readonly partId: string;
	readonly station: string;
	readonly cylinder: number;
}

/** A part by its name and cylinder (0: the pump's own). */
export interface NamedPart {
	readonly name: string;
	readonly cylinder: number;
}

/** Which of these parts the job's log speaks of: what is recorded of them would be lost if they left the mat. */
export async function recordedParts(
	scope: ShopScope,
	jobId: string,
	sheet: Pick<ModelSheet, 'stations'>,
	cells: readonly Cell[]
): Promise<NamedPart[]> {
	const entries = await of(scope, 'logEntry').all(
		{ jobId, partId: cells.map(({ partId }) => partId) },
		{ attributes: ['partId'] }
	);
	const named = new Set(entries.map(({ partId }) => partId));
	return cells
		.filter(({ partId }) => named.has(partId))
		.map(({ station, cylinder }) => ({
			name: sheet.stations.find(({ key }) => key === station)?.name ?? station,
			cylinder
		}));
}

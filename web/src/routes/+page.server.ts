import { gaugesOf } from '@exetasis/server/gauges';
import { floorOf } from '@exetasis/server/jobs/floor';
import { layoutSheets } from '@exetasis/server/layouts';
import { drawnSheet, sheetsOf } from '@exetasis/server/sheets';
import { sharedReads } from '@exetasis/server/background/sharedReads';
import { readerOf, scopeOf } from '$lib/server/request';

export async function load({ locals }) {
	const scope = scopeOf(locals);
	const floor = await sharedReads.read(readerOf(locals), 'floor', () => floorOf(scope));
	// A shop with nothing on record yet is led: what it has already is ticked.
	const begun = floor.jobs.length > 0 || floor.released.length > 0;
	const start = begun
		? { sheets: 1, gauges: 1, layouts: [] }
		: {
				sheets: (await sheetsOf(scope)).length,
				gauges: (await gaugesOf(scope)).length,
				layouts: (await layoutSheets()).map(drawnSheet)
			};
	return { ...floor, start };
}

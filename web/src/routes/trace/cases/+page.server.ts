import { casesOf } from '@exetasis/server/trace/cases';
import { networkOf } from '@exetasis/server/trace/network';
import { newestSheets } from '@exetasis/server/sheets';
import { scopeOf } from '$lib/server/request';

export async function load({ locals }) {
	const scope = scopeOf(locals);
	const [cases, { network }, sheets] = await Promise.all([casesOf(scope), networkOf(scope), newestSheets(scope)]);
	return {
		cases: cases.map((traceCase) => ({
			...traceCase,
			stationName:
				sheets
					.find(({ model }) => model === traceCase.pump.model)
					?.stations.find(({ key }) => key === traceCase.station)?.name ?? traceCase.station,
			causeName: network.causes.find(({ key }) => key === traceCase.cause)?.name ?? traceCase.cause
		}))
	};
}

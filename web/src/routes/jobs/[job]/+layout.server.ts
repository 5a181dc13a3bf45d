import { documentsOf } from '@exetasis/server/documents/documents';
import { benchOf } from '@exetasis/server/jobs/bench';
import { casesToWatch } from '@exetasis/server/trace/cases';
import { found, idFrom, scopeOf } from '$lib/server/request';

export const load = async ({ locals, params }) => {
	const scope = scopeOf(locals);
	const bench = found(await benchOf(scope, idFrom(params.job)));
	return {
		bench,
		cases: await casesToWatch(scope, [bench.job.pumpId]),
		documents: await documentsOf(scope, bench.job.model)
	};
};

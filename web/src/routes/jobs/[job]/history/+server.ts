import { json } from '@sveltejs/kit';
import { historyOfMat } from '@exetasis/server/jobs/mat';
import { matHistorySchema } from '$lib/mat/history';
import { found, idFrom, scopeOf } from '$lib/server/request';

/** What became of the parts at each place of a job's mat in its last rebuilds. */
export async function GET({ locals, params }) {
	return json(matHistorySchema.parse(found(await historyOfMat(scopeOf(locals), idFrom(params.job)))));
}

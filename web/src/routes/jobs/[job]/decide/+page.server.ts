import { runHeavy } from '@exetasis/server/background/heavy';
import { DecisionState } from '$lib/decide/decision.svelte';
import { BenchState } from '$lib/log/bench.svelte';
import { scopeOf, userOf } from '$lib/server/request';

/** The set under the rules in force, so that the page stands at once; from then on the browser's own workers go on with it. */
export async function load({ locals, parent }) {
	const { bench } = await parent();
	return {
		first: await runHeavy(
			scopeOf(locals).shopId,
			'decideWhole',
			new DecisionState(new BenchState(bench, userOf(locals).id)).asked()
		)
	};
}

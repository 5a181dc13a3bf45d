import { json } from '@sveltejs/kit';
import { pumpById } from '@exetasis/server/pumps';
import { beliefsOfPump } from '@exetasis/server/trace/beliefs';
import { found, idFrom, scopeOf } from '$lib/server/request';
import { causeName } from '$lib/words/causes';

/** A cause as much as it was ever believed in, on the pump (cylinder 0) or on one cylinder: also one that has been put right. */
export interface LikelyCause {
	readonly name: string;
	readonly cylinder: number;
	readonly p: number;
}

const MOST = 24;

/** The causes that were believed in most at any rebuild of this pump, ordinary wear left out: for lists, which ask once they stand. */
export async function GET({ locals, params }) {
	const scope = scopeOf(locals);
	const pump = found(await pumpById(scope, idFrom(params.pump)));
	const told = await beliefsOfPump(scope, pump);
	if (told?.beliefs.kind !== 'believed') return json([]);
	const { network } = told;
	const age = new Set(network.causes.filter(({ kind }) => kind === 'age').map(({ key }) => key));
	const likely = told.beliefs.beliefs
		.filter(({ cause }) => !age.has(cause))
		.map(({ cause, cylinder, now }): LikelyCause => ({
			name: causeName(network, cause),
			cylinder,
			p: Math.max(...now)
		}))
		.sort((a, b) => b.p - a.p)
		.slice(0, MOST);
	return json(likely);
}

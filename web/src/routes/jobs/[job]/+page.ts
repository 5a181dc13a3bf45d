import { redirect } from '@sveltejs/kit';

/** A job opens where its work stands. */
export async function load({ parent, params }) {
	const { bench } = await parent();
	const looked = bench.entries.some(({ kind }) => kind === 'finding' || kind === 'clean');
	redirect(303, `/jobs/${params.job}/${looked ? 'inspect' : 'strip'}`);
}

import { redirect } from '@sveltejs/kit';

/** A job opens where its work stands. */
export async function load({ parent, params }) {
	const { inspected } = await parent();
	redirect(303, `/jobs/${params.job}/${inspected ? 'inspect' : 'strip'}`);
}

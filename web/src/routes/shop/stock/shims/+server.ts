import { error, json } from '@sveltejs/kit';
import { keepShims } from '@exetasis/server/stock';
import { eachOnce, shimsSchema } from '$lib/build/shimDrawer';
import { scopeOf } from '$lib/server/request';

/** Keeps what lies in the shop's drawer of shims. */
export async function POST({ request, locals }) {
	const typed = shimsSchema.safeParse(await request.json().catch(() => undefined));
	if (!typed.success) error(422, 'Type at most 40 thicknesses, each from 0.01 to 20 mm.');
	await keepShims(scopeOf(locals), eachOnce(typed.data));
	return json({});
}

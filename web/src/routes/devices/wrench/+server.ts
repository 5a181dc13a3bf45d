import { error } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';
import { listenToWrench } from '@exetasis/server/devices/wrench';
import { eventStream } from '$lib/server/eventStream';

const MOST_MS = 600_000;

/** What the shop's torque wrench reads, once it is told how hard to pull. */
export function GET({ url }) {
	const target = Number(url.searchParams.get('target'));
	if (!(target > 0 && target < 50_000)) error(400, 'The torque must be above 0 N·m.');
	return eventStream((signal) => listenToWrench(env.WRENCH_AT, target, signal), MOST_MS);
}

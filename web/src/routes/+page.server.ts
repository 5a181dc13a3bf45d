import { floorOf, lastReleased } from '$lib/server/jobs';
import { scopeOf } from '$lib/server/request';
import { alarmOf } from '$lib/server/trace';
import type { Recurrence } from '@exetasis/core/trace';

export async function load({ locals }) {
	const scope = scopeOf(locals);
	const jobs = await floorOf(scope);
	const recurring: Record<string, Recurrence> = {};
	for (const { id, pumpId } of jobs) {
		const alarm = await alarmOf(scope, pumpId);
		if (alarm) recurring[id] = alarm;
	}
	return { jobs, recurring, released: await lastReleased(scope) };
}

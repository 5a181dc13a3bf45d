import { floorOf, lastReleased } from '$lib/server/jobs';
import { scopeOf } from '$lib/server/request';
import { traceOf } from '$lib/server/trace';
import type { Recurrence } from '@exetasis/core/trace';

const SURPRISING = 0.01; // many places are compared on each pump, so one in a hundred, not one in twenty

export async function load({ locals }) {
	const scope = scopeOf(locals);
	const jobs = await floorOf(scope);
	const recurring: Record<string, Recurrence> = {};
	for (const { id, pumpId } of jobs) {
		const [worst] = (await traceOf(scope, pumpId)).recurrences;
		if (worst && worst.rate.events > 1 && worst.pAlike < SURPRISING) recurring[id] = worst;
	}
	return { jobs, recurring, released: await lastReleased(scope) };
}

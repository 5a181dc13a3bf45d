<!-- @component A step that is repeated at each cylinder: where it is done, and where to go on after an interruption. -->
<script lang="ts">
	import { openedCylinders, type Step } from '@exetasis/core/record';
	import type { BenchState } from '$lib/log/bench.svelte';

	interface Props {
		bench: BenchState;
		step: Step;
		locked: boolean;
	}
	let { bench, step, locked }: Props = $props();

	const cylinders = $derived(openedCylinders(bench.bench.sheet, bench.bench.job));
	const done = $derived(bench.log.cylindersDone.get(step.key));
	const next = $derived(cylinders.find((cylinder) => !done?.has(cylinder)));

	function touch(cylinder: number) {
		const there = done?.get(cylinder);
		if (there) bench.withdraw(there, 'not done');
		else bench.record({ kind: 'cylinderDone', payload: { step: step.key, cylinder } });
	}
</script>

<div class="flex flex-wrap items-center gap-2" role="group" aria-label="Done at cylinder">
	<span>Done at cylinder</span>
	{#each cylinders as cylinder (cylinder)}
		<button
			type="button"
			class="min-h-12! min-w-12! btn figures"
			aria-pressed={done?.has(cylinder) ?? false}
			disabled={locked}
			onclick={() => touch(cylinder)}>{cylinder}</button
		>
	{/each}
	{#if done && next}<b>Continue with cylinder {next}.</b>{/if}
</div>

<!-- @component How far something has been turned past hand-tight, counted touch by touch against the most that it may. -->
<script lang="ts">
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		mostDeg: number;
		/** So far, degrees. */
		total: number;
	}
	let { mostDeg, total = $bindable() }: Props = $props();

	const steps = $derived([15, 30, 45, 90].filter((deg) => deg <= mostDeg));
	let turned = $state<readonly number[]>([]);
	const left = $derived(mostDeg - total);
	function turn(now: readonly number[]) {
		turned = now;
		total = now.reduce((sum, deg) => sum + deg, 0);
	}
</script>

<div class="flex flex-wrap items-center gap-1.5 text-[0.92rem]" role="group" aria-label="Turned past hand-tight">
	<span>Turned past hand-tight</span>
	{#each steps as deg (deg)}
		<button type="button" class="btn" disabled={deg > left} onclick={() => turn([...turned, deg])}>{deg}°</button>
	{/each}
	<button type="button" class="btn" disabled={turned.length === 0} onclick={() => turn(turned.slice(0, -1))}
		>Undo last</button
	>
	<button type="button" class="btn" disabled={turned.length === 0} onclick={() => turn([])}>Start again</button>
	<span role="status"
		><b class="figures">{format.number(total)}°</b> of {format.number(mostDeg)}°{left <= 0
			? '. Stop here: more crushes the parts below.'
			: total > 0
				? `, ${format.number(left)}° left`
				: ''}</span
	>
</div>

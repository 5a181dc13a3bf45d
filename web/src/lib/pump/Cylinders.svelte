<!-- @component Which cylinders a job opens: all, or those that are left pressed. What stays shut is not on the mat. -->
<script lang="ts">
	interface Props {
		count: number;
		/** A comma between them; empty: all. */
		opened: string | undefined;
		problem?: string;
	}
	let { count, opened = $bindable(), problem }: Props = $props();
	const all = $derived(Array.from({ length: count }, (_, i) => i + 1));
	const open = $derived(opened ? opened.split(',').map(Number) : all);

	function turn(cylinder: number) {
		const next = open.includes(cylinder) ? open.filter((opened) => opened !== cylinder) : [...open, cylinder];
		// One stays open at least.
		if (next.length === 0) return;
		opened = next.length === count ? '' : next.toSorted((a, b) => a - b).join(',');
	}
</script>

<div class="label" role="group" aria-label="Opened cylinders">
	<span>Opened cylinders</span>
	<div class="row flex items-center gap-1.5">
		{#each all as cylinder (cylinder)}
			<button
				type="button"
				class="btn min-w-12!"
				aria-pressed={open.includes(cylinder)}
				aria-label="Cylinder {cylinder}"
				onclick={() => turn(cylinder)}>{cylinder}</button
			>
		{/each}
		<span class="soft">{open.length === count ? 'all' : 'the others stay closed and are not on the mat'}</span>
	</div>
	<input type="hidden" name="cylinders" value={opened ?? ''} />
	{#if problem}<span class="wrong" role="alert">{problem}</span>{/if}
</div>

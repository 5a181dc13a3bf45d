<!-- @component A job's mat in little: one small mark a part, as on the mat itself: dotted, plain, ringed, struck, waved. -->
<script lang="ts">
	import type { FloorJob } from '@exetasis/server/db/sql/floor';

	let { mat }: { mat: FloorJob['mat'] } = $props();
	const COLUMN = 8;
	const ROW = 9;
	const width = $derived(COLUMN * Math.max(1, ...mat.map(({ column }) => column)));
	const height = $derived(ROW * Math.max(1, ...mat.map(({ cylinder }) => cylinder)));
	const count = (state: string) => mat.filter((one) => one.state === state).length;
	const words = $derived(
		`${count('open')} not looked at, ${count('looked')} looked at, ${count('reuse')} reuse, ${count('replace')} replace, ${count('lookAgain')} look again`
	);
</script>

<svg viewBox="0 0 {width} {height}" style="width: {width}px; height: {height}px" role="img" aria-label={words}>
	{#each mat as { column, cylinder, state } (`${column}/${cylinder}`)}
		<g transform="translate({(column - 1) * COLUMN + COLUMN / 2} {Math.max(0, cylinder - 1) * ROW + ROW / 2})">
			{#if state === 'open'}<circle class="open" r="1" />
			{:else if state === 'looked'}<rect class="looked" x="-2" y="-2" width="4" height="4" />
			{:else if state === 'reuse'}<circle class="reuse" r="2.8" />
			{:else if state === 'replace'}<path class="replace" d="M-3 3 3-3" />
			{:else}<path class="again" d="M-3 1q1.5-3 3 0t3 0" />{/if}
		</g>
	{/each}
</svg>

<style>
	.open {
		fill: var(--ink-soft);
		opacity: 0.6;
	}
	.looked {
		fill: var(--ink-soft);
	}
	.reuse {
		fill: none;
		stroke: var(--sound);
		stroke-width: 1.5;
	}
	.replace {
		stroke: var(--pencil);
		stroke-width: 1.8;
	}
	.again {
		fill: none;
		stroke: var(--doubt);
		stroke-width: 1.5;
	}
</style>

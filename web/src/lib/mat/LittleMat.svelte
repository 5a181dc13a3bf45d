<!-- @component A job's mat in little: one small mark a part, as on the mat itself: dotted, plain, ringed, struck, waved. -->
<script lang="ts">
	import type { FloorJob } from '@exetasis/server/db/sql/floor';

	let { mat }: { mat: FloorJob['mat'] } = $props();
	const COLUMN = 8;
	const ROW = 9;
	const width = $derived(COLUMN * Math.max(1, ...mat.map(({ column }) => column)));
	const height = $derived(ROW * Math.max(1, ...mat.map(({ cylinder }) => cylinder)));
	const ring = (r: number) => `m${-r} 0a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
	// The mark of each state, from its middle.
	const marks = {
		open: ring(1),
		looked: 'm-2-2h4v4h-4z',
		reuse: ring(2.8),
		replace: 'm-3 3 6-6',
		lookAgain: 'm-3 1q1.5-3 3 0t3 0'
	} as const;
	const states = Object.keys(marks) as (keyof typeof marks)[];
	// One path a state: a floor of twenty mats is drawn at once.
	const pathOf = (state: keyof typeof marks) =>
		mat
			.filter((one) => one.state === state)
			.map(({ column, cylinder }) => {
				const [x, y] = [(column - 0.5) * COLUMN, (Math.max(1, cylinder) - 0.5) * ROW];
				return `M${x} ${y}${marks[state]}`;
			})
			.join('');
	const count = (state: string) => mat.filter((one) => one.state === state).length;
	const words = $derived(
		`${count('open')} not inspected, ${count('looked')} inspected, ${count('reuse')} reuse, ${count('replace')} replace, ${count('lookAgain')} recheck`
	);
</script>

<svg viewBox="0 0 {width} {height}" style="max-width: {width}px" role="img" aria-label={words}>
	{#each states as state (state)}<path class={state} d={pathOf(state)} />{/each}
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		max-height: 44px;
	}
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
	.lookAgain {
		fill: none;
		stroke: var(--doubt);
		stroke-width: 1.5;
	}
</style>

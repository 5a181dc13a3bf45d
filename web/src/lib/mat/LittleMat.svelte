<!-- @component A job's mat in little: one small mark a part, as on the mat itself: dotted, plain, ringed, struck, waved. -->
<script lang="ts">
	import { matSigns } from '@exetasis/core/mat';

	/** A row for each cylinder, a sign for each column. */
	let { mat }: { mat: readonly string[] } = $props();
	const COLUMN = 8;
	const ROW = 9;
	const width = $derived(COLUMN * Math.max(1, ...mat.map((row) => row.length)));
	const height = $derived(ROW * Math.max(1, mat.length));
	const ring = (r: number) => `m${-r} 0a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
	// The mark of each state, from its middle.
	const marks = {
		open: ring(1),
		inspected: 'm-2-2h4v4h-4z',
		reuse: ring(2.8),
		replace: 'm-3 3 6-6',
		lookAgain: 'm-3 1q1.5-3 3 0t3 0'
	} as const;
	const states = Object.keys(marks) as (keyof typeof marks)[];
	// One path a state: a floor of twenty mats is drawn at once.
	const pathOf = (state: keyof typeof marks) =>
		mat
			.flatMap((row, y) =>
				Array.from(row, (sign, x) =>
					sign === matSigns[state] ? `M${(x + 0.5) * COLUMN} ${(y + 0.5) * ROW}${marks[state]}` : ''
				)
			)
			.join('');
	const count = (state: keyof typeof marks) => mat.join('').split(matSigns[state]).length - 1;
	const words = $derived(
		`${count('open')} not inspected, ${count('inspected')} inspected, ${count('reuse')} reuse, ${count('replace')} replace, ${count('lookAgain')} recheck`
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
	.inspected {
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

<!-- @component Which end cylinder 1 is, in words and as a small drawing seen from the pressure side. -->
<script lang="ts">
	import type { ModelSheet } from '@exetasis/core/record';

	interface Props {
		cylinderOne: NonNullable<ModelSheet['cylinderOne']>;
		/** How many cylinders the pump has. */
		count: number;
	}
	let { cylinderOne, count }: Props = $props();
	const numbers = $derived(Array.from({ length: count }, (_, i) => (cylinderOne.side === 'left' ? i + 1 : count - i)));
</script>

<p class="one">
	<svg viewBox="0 0 {count * 22 + 4} 26" width={count * 22 + 4} height="26" aria-hidden="true">
		<rect x="1" y="1" width={count * 22 + 2} height="24" rx="3" />
		{#each numbers as number, i (number)}
			<circle cx={i * 22 + 13} cy="13" r="8.5" class:first={number === 1} />
			<text x={i * 22 + 13} y="17" class:first={number === 1}>{number}</text>
		{/each}
	</svg>
	<span>{cylinderOne.text} Seen from the pressure side.</span>
</p>

<style>
	.one {
		display: flex;
		align-items: center;
		gap: 8px;
		font-size: 0.86rem;
		line-height: 1.25;
	}
	svg {
		flex: none;
	}
	rect,
	circle {
		fill: none;
		stroke: currentColor;
		stroke-width: 1.2;
	}
	circle.first {
		fill: var(--mark);
		stroke: var(--mark);
	}
	text {
		font-size: 11px;
		text-anchor: middle;
		fill: currentColor;
	}
	text.first {
		fill: var(--sheet);
		font-weight: 700;
	}
</style>

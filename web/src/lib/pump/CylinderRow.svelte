<!-- @component The cylinders in their row as seen from the pressure side, one of them marked. -->
<script lang="ts">
	interface Props {
		/** The side on which cylinder 1 is. */
		first: 'left' | 'right';
		/** How many cylinders the pump has. */
		count: number;
		marked: number;
		/** What the drawing says, where no words beside it say the same. */
		label?: string;
		/** Height in pixels. */
		height?: number;
	}
	let { first, count, marked, label, height = 26 }: Props = $props();
	const numbers = $derived(Array.from({ length: count }, (_, i) => (first === 'left' ? i + 1 : count - i)));
</script>

<svg
	viewBox="0 0 {count * 22 + 4} 26"
	width={((count * 22 + 4) * height) / 26}
	{height}
	role={label ? 'img' : undefined}
	aria-label={label}
	aria-hidden={label ? undefined : true}
>
	{#if label}<title>{label}</title>{/if}
	<rect x="1" y="1" width={count * 22 + 2} height="24" rx="3" />
	{#each numbers as number, i (number)}
		<circle cx={i * 22 + 13} cy="13" r="8.5" class:marked={number === marked} />
		<text x={i * 22 + 13} y="17" class:marked={number === marked}>{number}</text>
	{/each}
</svg>

<style>
	svg {
		flex: none;
	}
	rect,
	circle {
		fill: none;
		stroke: currentColor;
		stroke-width: 1.2;
	}
	circle.marked {
		fill: var(--mark);
		stroke: var(--mark);
	}
	text {
		font-size: 11px;
		text-anchor: middle;
		fill: currentColor;
	}
	text.marked {
		fill: var(--sheet);
		font-weight: 700;
	}
</style>

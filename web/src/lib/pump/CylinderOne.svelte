<!-- @component Which end cylinder 1 is, in words and as a small drawing seen from the pressure side. -->
<script lang="ts">
	import type { ModelSheet } from '@exetasis/core/record';
	import CylinderRow from './CylinderRow.svelte';

	interface Props {
		cylinderOne: NonNullable<ModelSheet['cylinderOne']>;
		/** How many cylinders the pump has. */
		count: number;
	}
	let { cylinderOne, count }: Props = $props();
</script>

<p class="one">
	<CylinderRow first={cylinderOne.side} {count} marked={1} />
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
</style>

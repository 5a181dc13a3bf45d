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

<p class="flex items-center gap-2 text-[0.86rem] leading-[1.25]">
	<CylinderRow first={cylinderOne.side} {count} marked={1} />
	<span>{cylinderOne.text} Seen from the pressure side.</span>
</p>

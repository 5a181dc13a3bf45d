<!-- @component The part in hand with its readings where they were taken: along it, on its face, or by a line for each size. -->
<script lang="ts">
	import type { MeasuredCharacteristic } from '@exetasis/core/decide';
	import type { Lie } from '@exetasis/core/record';
	import type { BenchPart } from '$lib/log/bench.svelte';
	import FaceReadings from './FaceReadings.svelte';
	import SizesOnPart from './SizesOnPart.svelte';
	import { isAlong } from './wornProfile';
	import WornProfile from './WornProfile.svelte';

	interface Props {
		part: BenchPart;
		up: Lie | undefined;
		/** The size that the verdict rests on. */
		judged: MeasuredCharacteristic | undefined;
	}
	let { part, up, judged }: Props = $props();
	const first = $derived(judged ?? part.judgement.sizes[0]);
	const others = $derived(part.judgement.sizes.filter(({ sheet }) => sheet.key !== first?.sheet.key));
</script>

{#if first && isAlong(first.sheet)}<WornProfile {part} size={first} />
{:else if first?.sheet.face}<FaceReadings size={first} />
{:else}<SizesOnPart {part} {up} sizes={first ? [first, ...others] : []} />{/if}

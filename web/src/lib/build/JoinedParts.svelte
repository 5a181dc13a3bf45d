<!-- @component A task at the bench: the parts of a sub-assembly drawn in the order in which they are joined, and what is done. -->
<script lang="ts">
	import { stationKeysOf, type ModelSheet, type SubAssembly } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';

	interface Props {
		sheet: ModelSheet;
		joined: SubAssembly;
	}
	let { sheet, joined }: Props = $props();
	// A sub-assembly within this one is drawn by its parts.
	const parts = $derived(
		joined.parts
			.flatMap((key) => stationKeysOf(sheet.subAssemblies, key))
			.flatMap((key) => sheet.stations.find((station) => station.key === key) ?? [])
	);
</script>

<div class="border border-line px-2.5 py-2 leading-[1.35]">
	<ol class="flex flex-wrap gap-x-3.5 gap-y-1 mb-1" aria-label="Joined in this order">
		{#each parts as station, i (station.key)}
			<li class="grid justify-items-center text-[0.78rem] leading-[1.15] max-w-24 text-center">
				<Glyph type={station.type} face={station.face} size={52} />
				<span>{i + 1}. {station.short}</span>
			</li>
		{/each}
	</ol>
	<p>
		<b>On the bench.</b>
		{joined.how ?? 'Join these parts in this order.'}{joined.sure === 'deduced'
			? ' This order is deduced. The maker does not state it.'
			: ''}
	</p>
</div>

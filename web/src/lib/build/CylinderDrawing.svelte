<!-- @component One cylinder as it grows: what is in drawn out, what is not yet only dotted, what is in hand accented. -->
<script lang="ts">
	import { placeKey } from '@exetasis/core/mat';
	import { inPump, type Station } from '@exetasis/core/record';
	import type { BenchState } from '$lib/log/bench.svelte';
	import SectionDrawing from '$lib/section/SectionDrawing.svelte';

	interface Props {
		bench: BenchState;
		cylinder: number;
		/** Stations of the step in hand. */
		inHand: readonly string[];
		/** With the names of the assemblies under it. */
		named?: boolean;
	}
	let { bench, cylinder, inHand, named = false }: Props = $props();
	const places = $derived(
		new Map([...bench.build.places.values()].map((place) => [placeKey(place.station.key, place.cylinder), place]))
	);
	const placeAt = ({ key, per }: Station) => places.get(placeKey(key, per === 'cylinder' ? cylinder : 0));
	const isIn = (station: Station) => {
		const here = placeAt(station);
		return here !== undefined && inPump(bench.build, here);
	};
	const left = $derived(
		[...places.values()].filter((place) => place.cylinder === cylinder && !inPump(bench.build, place)).length
	);
</script>

<SectionDrawing
	stations={bench.stations.filter((station) => placeAt(station))}
	label="Cylinder {cylinder}: {left === 0 ? 'all fitted' : `${left} left`}"
	{isIn}
	{inHand}
	named={named ? bench.bench.sheet.assemblies : []}
/>

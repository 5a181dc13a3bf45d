<!-- @component Of what is pushed home at this step: how deep and how square one of them sits, asked for where it matters. -->
<script lang="ts">
	import { partType } from '@exetasis/core/part';
	import type { BuildPlace } from '@exetasis/core/record';
	import { inSentence, placeName } from '$lib/words/place';
	import Squareness from './Squareness.svelte';

	interface Props {
		places: readonly BuildPlace[];
		/** Keeps what was found with the part. */
		onkeep: (part: string, words: string) => void;
	}
	let { places, onkeep }: Props = $props();

	const pressed = $derived(places.filter(({ station }) => partType(station.type).pressedHome));
	let measured = $state<string>();
	// The one that has just gone in.
	const open = () => (measured = (pressed.findLast(({ record }) => record.putIn) ?? pressed[0]).part);
</script>

{#if pressed.length > 0}
	{#if measured === undefined}
		<button type="button" class="btn justify-self-start" onclick={open}
			>Measure how {pressed.length === 1
				? `the ${inSentence(pressed[0].station.name)} sits`
				: 'one of them sits'}</button
		>
	{:else}
		<label class="flex items-center gap-1.5"
			>How it sits: <select class="select w-auto!" bind:value={measured}>
				{#each pressed as { part, station, cylinder } (part)}<option value={part}
						>{placeName(station.name, cylinder)}</option
					>{/each}
			</select></label
		>
		{#key measured}
			<Squareness
				onkeep={(words) => {
					onkeep(measured!, words);
					measured = undefined;
				}}
			/>
		{/key}
	{/if}
{/if}

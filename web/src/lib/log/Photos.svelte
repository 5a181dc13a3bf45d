<!-- @component Photographs of a part, or of the job: taken with the tablet's camera or chosen, small here, large when touched, of a part beside a new one or the last. -->
<script lang="ts">
	import ComparePhotos from './ComparePhotos.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { shortTime } from '$lib/format/time';
	import type { EntryOf } from '@exetasis/core/record';
	import type { BenchPart, BenchState } from './bench.svelte';
	import type { Picture } from './photo';
	import TakePhoto from './TakePhoto.svelte';

	interface Props {
		bench: BenchState;
		photos: readonly EntryOf<'photo'>[];
		/** Of this part; left out: of the job. */
		part?: BenchPart;
		locked: boolean;
	}
	let { bench, photos, part, locked }: Props = $props();

	let large = $state<string>();

	// What this browser still holds is shown from there: it may not have been sent yet.
	let sources = $state<Record<string, string>>({});
	$effect(() => {
		for (const { payload } of photos) void source(payload.sha256);
	});
	async function source(sha256: string) {
		if (sources[sha256]) return;
		const held = await bench.outbox?.pictureOf(sha256);
		sources[sha256] = held ? URL.createObjectURL(held) : `/jobs/${bench.bench.job.id}/photos/${sha256}`;
	}
	$effect(() => () => Object.values(sources).forEach((url) => URL.revokeObjectURL(url)));

	const keep = (ofNew: boolean) => (picture: Picture) =>
		bench.photograph({ ...(part ? { part: part.cell.part } : {}), ofNew }, picture);
</script>

<div class="flex flex-wrap gap-1.5 mt-2">
	{#each photos as photo (photo.id)}
		{@const label = `${photo.payload.of === 'newPart' ? 'New part, photograph' : 'Photograph'} by ${bench.bench.people[photo.by] ?? 'unknown'}, ${shortTime(photo.at)}`}
		<button type="button" class="btn small" onclick={() => (large = photo.id)}>
			<img
				class="object-cover w-[72px] h-[54px]"
				src={sources[photo.payload.sha256]}
				alt={label}
				width="72"
				height="54"
			/>
			{#if photo.payload.of === 'newPart'}<span aria-hidden="true">new</span>{/if}
		</button>
		{#if large === photo.id}
			<Dialog title={label} width="wide" onclose={() => (large = undefined)}>
				{#snippet acts()}
					{#if !locked && photo.by === bench.user}
						<button
							type="button"
							class="btn"
							onclick={() => {
								large = undefined;
								bench.withdraw(photo, 'taken by mistake');
							}}>Delete</button
						>
					{/if}
				{/snippet}
				<img class="max-h-[78vh] max-w-full mx-auto mt-2" src={sources[photo.payload.sha256]} alt={label} />
			</Dialog>
		{/if}
	{/each}
	{#if !locked}
		<TakePhoto
			label={part ? 'Photograph of this part' : 'Photograph of the pump'}
			short="Photograph"
			ontake={keep(false)}
		/>
		{#if part}<TakePhoto label="Photograph of a new part for comparison" short="New part" ontake={keep(true)} />{/if}
	{/if}
	{#if part}<ComparePhotos {bench} {part} {photos} {sources} />{/if}
</div>

<style>
	.small {
		position: relative;
		padding: 2px;
	}
	.small span {
		position: absolute;
		left: 2px;
		bottom: 2px;
		padding: 0 4px;
		font-size: 0.75rem;
		background: var(--sheet);
	}
</style>

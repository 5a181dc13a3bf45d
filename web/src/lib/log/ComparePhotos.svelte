<!-- @component Two photographs side by side: this part, and a new one or what lay here before. -->
<script lang="ts">
	import Dialog from '$lib/ui/Dialog.svelte';
	import Columns2 from '@lucide/svelte/icons/columns-2';
	import { day, shortTime } from '$lib/format/time';
	import type { EntryOf } from '@exetasis/core/record';
	import { placeName } from '$lib/words/place';
	import type { BenchPart, BenchState } from './bench.svelte';
	import { photosToCompareSchema } from './photosToCompare';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		photos: readonly EntryOf<'photo'>[];
		/** Where the photographs of this job are shown from, by their name. */
		sources: Readonly<Record<string, string>>;
	}
	let { bench, part, photos, sources }: Props = $props();

	interface Shown {
		readonly key: string;
		readonly src: string | undefined;
		readonly label: string;
		readonly newPart: boolean;
	}
	let open = $state(false);
	let elsewhere = $state.raw<readonly Shown[]>([]);
	let problem = $state('');

	const here = $derived(
		photos.map((photo): Shown => {
			const newPart = photo.payload.of === 'newPart';
			return {
				key: photo.id,
				src: sources[photo.payload.sha256],
				label: `${newPart ? 'New part' : 'This part'}, ${shortTime(photo.at)}`,
				newPart
			};
		})
	);
	const all = $derived([...here, ...elsewhere]);
	let chosen = $state<[string?, string?]>([]);
	// Left: this part as it is now. Right: a new one, else what lay here before.
	const left = $derived(all.find(({ key }) => key === chosen[0]) ?? here.findLast(({ newPart }) => !newPart) ?? all[0]);
	const right = $derived(
		all.find(({ key }) => key === chosen[1]) ??
			all.find(({ newPart }) => newPart) ??
			elsewhere[0] ??
			all.find(({ key }) => key !== left?.key)
	);

	async function show() {
		open = true;
		problem = '';
		const { station, cell } = part;
		try {
			const answer = await fetch(
				`/jobs/${bench.bench.job.id}/photos?station=${encodeURIComponent(station.key)}&cylinder=${cell.cylinder}`
			);
			if (!answer.ok) throw new Error(`${answer.status}`);
			elsewhere = photosToCompareSchema.parse(await answer.json()).map(({ job, sha256, of, takenAt }) => ({
				key: `${job}/${sha256}`,
				src: `/jobs/${job}/photos/${sha256}`,
				label: `${of === 'newPart' ? 'New part' : 'Here before'}, ${day(takenAt)}`,
				newPart: of === 'newPart'
			}));
		} catch {
			problem = 'Photographs of other jobs could not be loaded. Check the connection.';
		}
	}
</script>

<button type="button" class="btn" onclick={() => void show()}>
	<Columns2 size={18} aria-hidden="true" /> Compare
</button>
{#if open}
	<Dialog
		title="Compare: {placeName(part.station.name, part.cell.cylinder)}"
		width="wide"
		onclose={() => (open = false)}
	>
		{#if all.length === 0}
			<p>
				No photographs yet. Take one of this part and one of a new part. The photograph of a new part is shown at every
				later rebuild of this model.
			</p>
		{:else}
			<div class="grid grid-cols-[1fr_1fr] gap-2.5">
				{#each [left, right] as photo, side (side)}
					<figure>
						{#if photo}<img class="w-full max-h-[66vh] object-contain bg-line" src={photo.src} alt={photo.label} />
						{:else}<p class="soft">Nothing to compare yet. Photograph a new part.</p>{/if}
						<figcaption class="flex flex-wrap gap-1.25 mt-1.5">
							{#each all as other (other.key)}
								<button
									type="button"
									class="btn small"
									aria-pressed={other.key === photo?.key}
									onclick={() => (chosen = side === 0 ? [other.key, right?.key] : [left?.key, other.key])}
									>{other.label}</button
								>
							{/each}
						</figcaption>
					</figure>
				{/each}
			</div>
		{/if}
		{#if problem}<p class="soft" role="status">{problem}</p>{/if}
	</Dialog>
{/if}

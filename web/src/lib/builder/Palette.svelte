<!-- @component The part types, drawn; those that usually come off next stand first. A touch adds one. -->
<script lang="ts">
	import { partType, partTypeKeys, type PartTypeKey } from '@exetasis/core/part';
	import type { Customs } from '@exetasis/core/draft';
	import Glyph from '$lib/glyph/Glyph.svelte';

	interface Props {
		customs: Customs;
		/** Types that usually come off first. */
		first: readonly PartTypeKey[];
		/** Type of the part behind which the next one is added. */
		after?: PartTypeKey;
		/** Its name. */
		afterName?: string;
		onadd: (type: PartTypeKey) => void;
	}
	let { customs, first, after, afterName, onadd }: Props = $props();
	const id = $props.id();
	let sought = $state('');
	let list = $state<HTMLElement>();
	// Behind another part, other types are likely.
	$effect(() => {
		void after;
		list?.scrollTo(0, 0);
	});

	const wordsOf = (type: PartTypeKey) =>
		[partType(type).name, ...(partType(type).alsoCalled ?? []), ...(customs[type]?.names ?? [])]
			.join(' ')
			.toLowerCase();
	const next = $derived(after ? (customs[after]?.next ?? []) : first);
	const found = $derived.by(() => {
		const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
		const fitting = partTypeKeys.filter((type) => words.every((word) => wordsOf(type).includes(word)));
		const place = (type: PartTypeKey) => (next.includes(type) ? next.indexOf(type) : next.length);
		return fitting.toSorted((a, b) => place(a) - place(b) || partType(a).name.localeCompare(partType(b).name, 'en'));
	});
</script>

<section class="flex flex-col gap-1.5 min-w-0 min-h-0" aria-labelledby="{id}-head">
	<h2 id="{id}-head">Add part</h2>
	<p class="soft text-[0.82rem]">{afterName ? `Goes behind “${afterName}”.` : 'Goes to the end of the strip order.'}</p>
	<input
		class="input"
		type="search"
		aria-label="Find part type"
		placeholder="Find: ring, poppet …"
		bind:value={sought}
	/>
	<ul bind:this={list}>
		{#each found as type, i (type)}
			<li>
				<button type="button" class="btn" onclick={() => onadd(type)}>
					<Glyph {type} size={30} />
					<span>{partType(type).name}</span>
					{#if i < next.length && sought === ''}<span class="sr-only">often next</span><span
							aria-hidden="true"
							class="soft text-[0.82rem] ml-auto">next</span
						>{/if}
				</button>
			</li>
		{:else}<li class="soft text-[0.82rem]">No part type with this name. Try a shorter word.</li>{/each}
	</ul>
</section>

<style>
	ul {
		position: relative; /* what is only heard stays within the list */
		flex: 1;
		min-height: 0;
		overflow-y: auto;
		display: grid;
		gap: 4px;
		align-content: start;
	}
	.btn {
		width: 100%;
		justify-content: flex-start;
		padding: 2px 8px;
		text-align: left;
		font-weight: 500;
	}
	@media (max-width: 900px) {
		ul {
			grid-auto-flow: column;
			grid-auto-columns: 10rem;
			overflow-x: auto;
			padding-bottom: 4px;
		}
	}
</style>

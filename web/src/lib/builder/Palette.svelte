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
	<!-- What is only heard stays within the list. -->
	<ul
		class="relative grid min-h-0 flex-1 content-start gap-1 overflow-y-auto max-[900px]:auto-cols-[10rem] max-[900px]:grid-flow-col max-[900px]:overflow-x-auto max-[900px]:pb-1"
		bind:this={list}
	>
		{#each found as type, i (type)}
			<li>
				<button
					type="button"
					class="btn w-full justify-start! px-2! py-0.5! text-left font-medium!"
					onclick={() => onadd(type)}
				>
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

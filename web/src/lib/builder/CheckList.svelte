<!-- @component What a draft still lacks, where it is, and what mends it; and how far the sheet reaches. -->
<script lang="ts">
	import { levels, type DraftFault } from '@exetasis/core/draft';
	import { faultSubject, lackSentence, levelName } from '$lib/words/draft';
	import type { DraftState } from './draft.svelte';

	interface Props {
		draft: DraftState;
		mayEdit: boolean;
		ongo: (subject: DraftFault['subject']) => void;
	}
	let { draft, mayEdit, ongo }: Props = $props();
	const ready = $derived(draft.faults.length === 0);
</script>

<section aria-label="Problems">
	<h2>{ready ? 'No problems' : draft.faults.length === 1 ? '1 problem' : `${draft.faults.length} problems`}</h2>
	{#if !ready}<p class="soft">Solve them to save the sheet. The draft is kept as it is.</p>{/if}
	<ul>
		{#each draft.faults as fault, i (i)}
			<li class="flex flex-wrap items-center gap-2 min-h-11 border-l-3 border-l-pencil pl-2.5 mb-1.5">
				<span>{faultSubject(fault)}: {fault.message}.</span>
				{#if fault.subject.kind !== 'sheet'}<button type="button" class="btn" onclick={() => ongo(fault.subject)}
						>Show</button
					>{/if}
				{#if fault.mended && mayEdit}<button type="button" class="btn main" onclick={() => draft.change(fault.mended)}
						>Mend</button
					>{/if}
			</li>
		{/each}
	</ul>
</section>
<section aria-label="Levels" class="grid grid-cols-[repeat(auto-fit,minmax(18rem,1fr))] gap-4 mt-4">
	{#each levels as level, i (level)}
		{@const lacks = draft.lacks[level]}
		<div>
			<h3 class="font-[650] border-b border-b-line">
				{i + 1}
				{levelName[level]}: {ready ? (lacks.length === 0 ? 'complete' : 'usable, with gaps') : 'not yet'}
			</h3>
			<ul>
				{#each lacks as lack (lack.code)}
					<li class="flex items-center justify-between gap-2 min-h-11 border-b border-b-line py-1.5">
						<span>{lackSentence(lack)}</span>
						{#if 'stations' in lack}<button
								type="button"
								class="btn flex-none"
								onclick={() => ongo({ kind: 'part', key: lack.stations[0].key, name: lack.stations[0].name })}
								>Show first</button
							>{/if}
					</li>
				{:else}<li class="soft flex items-center justify-between gap-2 min-h-11 border-b border-b-line">
						Nothing is missing.
					</li>{/each}
			</ul>
		</div>
	{/each}
</section>

<!-- @component Look: the damage patterns of this part on the number keys, severity by pressing again, and when it was done. -->
<script lang="ts">
	import { partType, patternName } from '@exetasis/core/part';
	import { onsets, type Onset } from '@exetasis/core/record';
	import { onsetName, severityName } from '$lib/words/reasons';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import Notes from '$lib/log/Notes.svelte';
	import type SurfacePanel from './SurfacePanel.svelte';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
		onclean: () => void;
	}
	let { bench, part, locked, onclean }: Props = $props();

	const rules = $derived(partType(part.station.type).patterns);
	const findingOf = (pattern: string) => part.record.findings.find(({ payload }) => payload.pattern === pattern);
	const last = $derived(part.record.findings.at(-1));

	// Fetched with the first part that has a surface, and from then on drawn at once.
	let Surface = $state.raw<typeof SurfacePanel>();
	$effect(() => {
		if (part.station.surface && !Surface)
			void import('./SurfacePanel.svelte').then((module) => (Surface = module.default));
	});

	function setOnset(onset: Onset) {
		if (!last) return;
		bench.record({ kind: 'finding', part: part.cell.part, payload: { ...last.payload, onset } });
	}
</script>

<section aria-label="Look">
	<h2>
		Look {#if part.station.lookFor}<span class="soft">{part.station.lookFor}</span>{/if}
	</h2>
	<div class="patterns">
		<button
			type="button"
			class="press"
			aria-pressed={part.record.clean !== undefined}
			disabled={locked}
			onclick={onclean}
		>
			<kbd>0</kbd> Clean
		</button>
		{#each rules as { pattern }, index (pattern)}
			{@const finding = findingOf(pattern)}
			<button
				type="button"
				class="press found"
				aria-pressed={finding !== undefined}
				disabled={locked}
				onclick={() => bench.cyclePattern(part, pattern)}
			>
				<kbd>{index + 1}</kbd>
				<span
					>{patternName(pattern)}{#if finding}<b>: {severityName[finding.payload.severity]}</b>{/if}</span
				>
			</button>
		{/each}
	</div>
	{#if last}
		<fieldset class="onset">
			<legend>When did “{patternName(last.payload.pattern)}” happen?</legend>
			{#each onsets as onset (onset)}
				<button
					type="button"
					class="press"
					aria-pressed={last.payload.onset === onset}
					disabled={locked}
					onclick={() => setOnset(onset)}
				>
					{onsetName[onset]}
				</button>
			{/each}
		</fieldset>
	{/if}
	{#if part.station.surface && Surface}
		<Surface {bench} {part} surface={part.station.surface} {locked} />
	{/if}
	<Notes {bench} {part} {locked} />
</section>

<style>
	h2 span {
		font-weight: 400;
		font-size: 0.85rem;
		margin-left: 0.4rem;
	}
	.patterns {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 6px;
		margin-top: 6px;
	}
	.patterns .press {
		justify-content: flex-start;
		text-align: left;
		padding: 0.2rem 0.5rem;
		line-height: 1.15;
		font-size: 0.9rem;
	}
	kbd {
		font-family: var(--figures);
		font-size: 0.78rem;
		border: 1px solid var(--line);
		border-radius: 2px;
		padding: 0 0.32rem;
		color: var(--ink-soft);
	}
	.onset {
		margin-top: 8px;
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
	}
	.onset legend {
		font-size: 0.85rem;
		color: var(--ink-soft);
		padding-bottom: 4px;
	}
	.onset .press {
		font-size: 0.85rem;
		padding: 0.2rem 0.6rem;
	}
</style>

<!-- @component A pump whose sheet grows: what comes off is touched in the order in which it comes off, and lies on the mat then. -->
<script lang="ts">
	import { turned, type Customs, type LaidDown } from '@exetasis/core/draft';
	import { partType, type PartTypeKey } from '@exetasis/core/part';
	import type { ModelSheet } from '@exetasis/core/record';
	import Palette from '$lib/builder/Palette.svelte';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import Choose from '$lib/ui/Choose.svelte';
	import { inSentence } from '$lib/words/place';
	import { directionWords } from '$lib/words/orientation';
	import { growSheet } from './growSheet';

	interface Props {
		sheet: ModelSheet;
		job: string;
		customs: Customs;
		/** Part types that usually come off first. */
		first: readonly PartTypeKey[];
	}
	let { sheet, job, customs, first }: Props = $props();

	type Pending = LaidDown & Required<Pick<LaidDown, 'pieces' | 'per' | 'face'>>;
	// Kept in this browser until the server has them.
	// svelte-ignore state_referenced_locally
	const place = `exetasis laid down ${job}`;
	const kept = (): readonly Pending[] => {
		try {
			return JSON.parse(localStorage.getItem(place) ?? '[]') as readonly Pending[];
		} catch {
			return [];
		}
	};
	let pending = $state.raw<readonly Pending[]>(kept());
	let problem = $state('');
	let sending = $state(false);
	$effect(() => {
		try {
			localStorage.setItem(place, JSON.stringify(pending));
		} catch {
			// Full or switched off: the list lives as long as the page.
		}
	});
	// Key of the part behind which they came off; empty: the last one.
	let behind = $state('');
	const before = $derived(sheet.stations.find(({ key }) => key === behind) ?? sheet.stations.at(-1));
	const last = $derived(pending.at(-1)?.type ?? before?.type);
	const lastName = $derived(last && partType(last).name);

	function add(type: PartTypeKey) {
		const face: Pending['face'] = { toward: partType(type).symmetric ? 'either' : 'notStated', reversible: false };
		pending = [...pending, { type, pieces: 1, per: customs[type]?.per ?? 'cylinder', face }];
	}
	const change = (i: number, next: Partial<Pending>) => (pending = pending.with(i, { ...pending[i], ...next }));
	const says = ({ type, face }: Pending) =>
		directionWords({ type, face, in: '', inferred: [] }, { assemblies: [] }, null) || 'Alike from both sides';

	async function put() {
		sending = true;
		problem = (await growSheet(job, 'lay', { parts: JSON.stringify(pending), behind })) ?? '';
		sending = false;
		if (problem !== '') return;
		pending = [];
		localStorage.removeItem(place);
		location.reload(); // the whole job goes by the next revision
	}
</script>

<section class="sheet" aria-label="Lay down parts">
	<h2>Lay down what comes off</h2>
	<p class="soft">
		This pump has no checked sheet yet. Touch each part in the order in which it comes off. The mat and the sheet grow
		with it, and a lead checks the sheet afterwards.
	</p>
	<div class="columns">
		<Palette {customs} {first} after={last} afterName={lastName} onadd={add} />
		<div>
			<ol aria-label="Parts laid down">
				{#each pending as one, i (i)}
					<li>
						<button
							type="button"
							class="btn"
							aria-label="Turn {partType(one.type).name}. Now: {says(one)}"
							onclick={() =>
								change(i, { face: turned(one.face, customs[one.type]?.points.at(0) ?? { what: 'marked side' }) })}
							><Glyph type={one.type} face={one.face} size={40} /></button
						>
						<span><b>{partType(one.type).name}</b><br /><span class="soft">{says(one)}</span></span>
						<button
							type="button"
							class="btn"
							onclick={() => change(i, { per: one.per === 'pump' ? 'cylinder' : 'pump' })}
							>{one.per === 'pump' ? 'one in the pump' : 'one per cylinder'}</button
						>
						<button
							type="button"
							class="btn"
							aria-label="{one.pieces} pieces of {partType(one.type).name}: one more"
							onclick={() => change(i, { pieces: one.pieces >= 40 ? 1 : one.pieces + 1 })}>×{one.pieces}</button
						>
						<button
							type="button"
							class="btn"
							aria-label="Delete {partType(one.type).name}"
							onclick={() => (pending = pending.toSpliced(i, 1))}>Delete</button
						>
					</li>
				{:else}<li class="soft">Nothing yet.</li>{/each}
			</ol>
			{#if sheet.stations.length > 1}
				<Choose
					label="They came off"
					value={behind}
					options={[
						['', 'after all other parts'],
						...sheet.stations
							.slice(0, -1)
							.map(({ key, name }) => [key, `behind ${inSentence(name)} (forgotten then)`] as const)
					]}
					onchoose={(key) => (behind = key)}
				/>
			{/if}
			{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
			<button type="button" class="btn main mt-2" disabled={pending.length === 0 || sending} onclick={put}
				>Put {pending.length === 1 ? '1 part' : `${pending.length} parts`} on the mat</button
			>
		</div>
	</div>
</section>

<style>
	section {
		padding: 12px 16px;
		margin-top: 8px;
	}
	.columns {
		display: grid;
		grid-template-columns: 14rem minmax(0, 1fr);
		grid-template-rows: minmax(0, 1fr);
		gap: 16px;
		height: 520px;
	}
	.columns > div {
		min-width: 0;
		overflow-y: auto;
	}
	ol {
		display: grid;
		gap: 6px;
		margin-bottom: 10px;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 8px;
		border-bottom: 1px solid var(--line);
		padding-bottom: 4px;
	}
	li > span {
		flex: 1;
		min-width: 9rem;
		line-height: 1.2;
	}
	.soft {
		font-size: 0.88rem;
	}
	@media (max-width: 900px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
			grid-template-rows: none;
			height: auto;
		}
	}
</style>

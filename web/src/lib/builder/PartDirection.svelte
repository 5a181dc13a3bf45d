<!-- @component Which way the part in hand lies: a touch on its drawing turns it, and its sentence turns with it. -->
<script lang="ts">
	import { turned, withPartChanged, type Customs } from '@exetasis/core/draft';
	import { partType } from '@exetasis/core/part';
	import type { Station } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import Choose from '$lib/ui/Choose.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import { towardName } from '$lib/words/draft';
	import { directionWords } from '$lib/words/orientation';
	import type { DraftState } from './draft.svelte';

	interface Props {
		draft: DraftState;
		part: Station;
		customs: Customs;
	}
	let { draft, part, customs }: Props = $props();
	const points = $derived(customs[part.type]?.points ?? []);
	const point = $derived(points.at(0) ?? { what: 'marked side' });
	const sentence = $derived(directionWords(part, draft.body) || 'Alike from both sides.');
	const others = $derived(draft.body.stations.filter(({ key }) => key !== part.key));
	const towards = Object.entries(towardName) as [Station['face']['toward'], string][];

	const set = (face: Station['face']) =>
		draft.change(
			withPartChanged(draft.body, part.key, {
				face,
				inferred: part.inferred.filter((statement) => statement !== 'face')
			})
		);
	function face(toward: Station['face']['toward']) {
		const { mate: _mate, mateLies: _lies, ...rest } = part.face;
		const needsPoint = toward === 'P' || toward === 'C' || toward === 'mate';
		const against = toward === 'mate' && others[0] ? { mate: others[0].key, mateLies: 'P' as const } : {};
		set({ ...(needsPoint && rest.what === undefined ? { ...rest, ...point } : rest), toward, ...against });
	}
	function name(what: string | undefined) {
		const known = points.find((point) => point.what === what);
		const { feature: _feature, ...rest } = part.face;
		set({ ...rest, what, ...(known?.feature ? { feature: known.feature } : {}) });
	}
</script>

<div class="direction flex gap-2.5 items-center">
	<button
		type="button"
		class="turn flex items-center gap-0.5 border border-ink-soft bg-sheet px-2 py-1 font-figures cursor-pointer hover:border-mark"
		aria-label="Turn {part.name}. Now: {sentence}"
		onclick={() => set(turned(part.face, point))}
	>
		<span aria-hidden="true">P</span><Glyph type={part.type} face={part.face} size={96} /><span aria-hidden="true"
			>C</span
		>
	</button>
	<p>
		<b>{sentence}</b><br /><span class="soft text-[0.82rem]"
			>Touch the drawing to turn the part. P: pressure side, C: crank side.</span
		>
	</p>
</div>
{#if part.inferred.includes('face')}
	<button type="button" class="btn" onclick={() => set(part.face)}>Confirm direction</button>
{/if}
{#if !partType(part.type).symmetric || part.face.toward !== 'either'}
	<div class="two grid grid-cols-[1fr_1fr] gap-2">
		<Choose label="Direction" value={part.face.toward} options={towards} onchoose={face} />
		{#if part.face.toward === 'P' || part.face.toward === 'C' || part.face.toward === 'mate'}
			<TextEdit
				label="What points there"
				value={part.face.what}
				offered={points.flatMap(({ what }) => what ?? [])}
				onchange={name}
			/>
		{/if}
		{#if part.face.toward === 'mate'}
			<Choose
				label="Against"
				value={part.face.mate ?? ''}
				options={others.map(({ key, name: words }) => [key, words] as const)}
				onchoose={(mate) => set({ ...part.face, mate })}
			/>
			<Choose
				label="That part lies on"
				value={part.face.mateLies ?? 'P'}
				options={[
					['P', 'the pressure side'],
					['C', 'the crank side']
				]}
				onchoose={(mateLies) => set({ ...part.face, mateLies })}
			/>
		{/if}
	</div>
{/if}

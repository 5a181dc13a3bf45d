<!-- @component A pump whose sheet grows: what comes off is touched in the order in which it comes off, and lies on the mat then. -->
<script lang="ts">
	import { boltsAlone, boltsOut, turned, type Customs } from '@exetasis/core/draft';
	import { partType, type PartTypeKey } from '@exetasis/core/part';
	import { openedCylinders } from '@exetasis/core/record';
	import BoltDrawing from '$lib/builder/BoltDrawing.svelte';
	import Palette from '$lib/builder/Palette.svelte';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { BenchState } from '$lib/log/bench.svelte';
	import TakePhoto from '$lib/log/TakePhoto.svelte';
	import Choose from '$lib/ui/Choose.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import { foundName } from '$lib/words/found';
	import { inSentence } from '$lib/words/place';
	import { directionWords } from '$lib/words/orientation';
	import { foundStates, type LaidDownList, type Pending, type Seen } from './laidDown.svelte';
	import { recordSeen } from './recordSeen';

	interface Props {
		bench: BenchState;
		list: LaidDownList;
		customs: Customs;
		/** Part types that usually come off first. */
		first: readonly PartTypeKey[];
	}
	let { bench, list, customs, first }: Props = $props();
	const { sheet, job } = $derived(bench.bench);

	const cylinders = $derived(openedCylinders(sheet, job));
	const before = $derived(sheet.stations.find(({ key }) => key === list.behind) ?? sheet.stations.at(-1));
	const last = $derived(list.last?.type ?? before?.type);
	const lastName = $derived(last && partType(last).name);

	function add(type: PartTypeKey) {
		const face: Pending['face'] = { toward: partType(type).symmetric ? 'either' : 'notStated', reversible: false };
		list.parts = [...list.parts, { type, pieces: 1, per: customs[type]?.per ?? 'cylinder', face, seen: {} }];
	}
	const change = (i: number, next: Partial<Pending>) =>
		(list.parts = list.parts.with(i, { ...list.parts[i], ...next }));
	/** Where a part is described: each opened cylinder, or the pump. */
	const placesOf = ({ per }: Pending) => (per === 'pump' ? [0] : cylinders);
	/** The cylinder that is described of each part, in the order of the list. */
	let described = $state<Record<number, number>>({});
	const describedOf = (i: number, part: Pending) =>
		placesOf(part).find((cylinder) => cylinder === described[i]) ?? placesOf(part)[0];
	const seenAt = ({ seen }: Pending, cylinder: number): Seen => seen[cylinder] ?? { photos: [] };
	function see(i: number, cylinder: number, next: Partial<Seen>) {
		const part = list.parts[i];
		change(i, { seen: { ...part.seen, [cylinder]: { ...seenAt(part, cylinder), ...next } } });
	}
	/** The state of one cylinder at all of them. */
	function seeAtAll(i: number, cylinder: number) {
		const part = list.parts[i];
		const { found } = seenAt(part, cylinder);
		const seen = cylinders.map((other) => [other, { ...seenAt(part, other), found }] as const);
		change(i, { seen: Object.fromEntries(seen) });
	}
	const says = ({ type, face }: Pending) =>
		directionWords({ type, face, in: '', inferred: [] }, { assemblies: [] }, null) || 'Alike from both sides';
	function seenWords(part: Pending): string {
		const at = placesOf(part).map((cylinder) => [cylinder, seenAt(part, cylinder)] as const);
		const found = at.flatMap(([cylinder, { found }]) =>
			found ? [cylinder === 0 ? `Found ${foundName[found]}` : `Cylinder ${cylinder}: ${foundName[found]}`] : []
		);
		const photos = at.reduce((sum, [, seen]) => sum + seen.photos.length, 0);
		const said = [
			...found,
			...(photos > 0 ? [`photographs: ${photos}`] : []),
			...(part.bolts ? [`places of bolts: ${part.bolts.length}`] : [])
		];
		if (said.length > 0) return said.join(', ');
		return part.type === 'fastener' ? 'As found, photograph, places of the bolts' : 'As found, photograph';
	}
	function put() {
		const laid = list.put(cylinders);
		described = {};
		void recordSeen(bench, laid);
		void list.send();
	}
</script>

{#snippet asFound(i: number, part: Pending, cylinder: number)}
	<div class="grid grid-cols-[repeat(auto-fit,minmax(9rem,1fr))] items-end gap-2">
		{#if part.per === 'cylinder'}<Choose
				label="In cylinder"
				value={String(cylinder)}
				options={cylinders.map((number) => [String(number), String(number)] as const)}
				onchoose={(number) => (described = { ...described, [i]: Number(number) })}
			/>{/if}
		<Choose
			label="Found"
			value={seenAt(part, cylinder).found ?? ''}
			options={[['', foundName.unsaid], ...foundStates.map((state) => [state, foundName[state]] as const)]}
			onchoose={(found) => see(i, cylinder, { found: found === '' ? undefined : found })}
		/>
		<TakePhoto
			label="Photograph of {partType(part.type).name}"
			short="Photograph"
			ontake={async ({ jpeg, ...photo }) => {
				await bench.outbox?.hold({ ...photo, jpeg });
				see(i, cylinder, { photos: [...seenAt(list.parts[i], cylinder).photos, photo] });
			}}
		/>
		{#if part.per === 'cylinder' && cylinders.length > 1 && seenAt(part, cylinder).found}<button
				type="button"
				class="btn"
				onclick={() => seeAtAll(i, cylinder)}>Same at all cylinders</button
			>{/if}
	</div>
{/snippet}

<section class="sheet px-4 py-3 mt-2" aria-label="Lay down parts">
	<h2>Lay down what comes off</h2>
	<p class="soft text-[0.88rem]">
		This pump has no checked sheet yet. Touch each part in the order in which it comes off. The mat and the sheet grow
		with it, and a lead checks the sheet afterwards.
	</p>
	<Fields
		><div
			class="columns grid grid-cols-[14rem_minmax(0,1fr)] grid-rows-[minmax(0,1fr)] gap-4 h-[520px] max-[900px]:grid-cols-[minmax(0,1fr)] max-[900px]:grid-rows-[none] max-[900px]:h-auto"
		>
			<Palette {customs} {first} after={last} afterName={lastName} onadd={add} />
			<div class="min-w-0 overflow-y-auto">
				<ol class="grid gap-1.5 mb-2.5" aria-label="Parts laid down">
					{#each list.parts as part, i (i)}
						<li class="flex flex-wrap items-center gap-2 border-b border-b-line pb-1">
							<button
								type="button"
								class="btn"
								aria-label="Turn {partType(part.type).name}. Now: {says(part)}"
								onclick={() =>
									change(i, { face: turned(part.face, customs[part.type]?.points.at(0) ?? { what: 'marked side' }) })}
								><Glyph type={part.type} face={part.face} size={40} /></button
							>
							<span class="flex-1 min-w-36 leading-[1.2]"
								><b>{partType(part.type).name}</b><br /><span class="soft text-[0.88rem]">{says(part)}</span></span
							>
							<button
								type="button"
								class="btn"
								onclick={() => change(i, { per: part.per === 'pump' ? 'cylinder' : 'pump', seen: {}, ids: undefined })}
								>{part.per === 'pump' ? 'one in the pump' : 'one per cylinder'}</button
							>
							<button
								type="button"
								class="btn"
								aria-label="{part.pieces} pieces of {partType(part.type).name}: one more"
								onclick={() => change(i, { pieces: part.pieces >= 40 ? 1 : part.pieces + 1 })}>×{part.pieces}</button
							>
							<button
								type="button"
								class="btn"
								aria-label="Delete {partType(part.type).name}"
								onclick={() => (list.parts = list.parts.toSpliced(i, 1))}>Delete</button
							>
							<details class="basis-full">
								<summary class="py-2.5 cursor-pointer">{seenWords(part)}</summary>
								{@render asFound(i, part, describedOf(i, part))}
								{#if part.type === 'fastener'}
									<p class="soft text-[0.88rem]">Touch the drawing where a bolt sits.</p>
									<BoltDrawing
										name={partType(part.type).name}
										fastening={part.bolts && boltsAlone(part.bolts)}
										adding
										onchange={(bolts) =>
											change(i, {
												bolts: bolts.length > 0 ? bolts : undefined,
												pieces: Math.max(1, boltsOut({ bolts }))
											})}
									/>
								{/if}
							</details>
						</li>
					{:else}<li class="soft flex flex-wrap items-center gap-2 border-b border-b-line pb-1 text-[0.88rem]">
							Nothing yet.
						</li>{/each}
				</ol>
				{#if sheet.stations.length > 1}
					<Choose
						label="They came off"
						value={list.behind}
						options={[
							['', 'after all other parts'],
							...sheet.stations
								.slice(0, -1)
								.map(({ key, name }) => [key, `behind ${inSentence(name)} (forgotten then)`] as const)
						]}
						onchoose={(key) => (list.behind = key)}
					/>
				{/if}
				{#if list.problem}<p class="wrong" role="alert">{list.problem}</p>{/if}
				{#if list.waitingParts > 0 && !list.sending}<p role="status">
						The server does not answer. {list.waitingParts === 1 ? '1 part is' : `${list.waitingParts} parts are`} kept on
						this tablet and will be saved as soon as it does. You can inspect them on the mat and go on laying down.
					</p>{/if}
				<button type="button" class="btn main mt-2" disabled={list.parts.length === 0 || list.sending} onclick={put}
					>Put {list.parts.length === 1 ? '1 part' : list.parts.length > 1 ? `${list.parts.length} parts` : 'parts'} on the
					mat</button
				>
			</div>
		</div></Fields
	>
</section>

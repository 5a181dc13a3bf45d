<!-- @component What goes in at a build step, each drawn as it must face, cylinder by cylinder: one touch for a part, a row or a bore. -->
<script lang="ts">
	import {
		cautionsFor,
		itemsOf,
		keptOut,
		unitKeptOut,
		verdictOn,
		type BuildItem,
		type BuildStep,
		type EntryProblem,
		type Lie
	} from '@exetasis/core/record';
	import { goesInLubricated } from '@exetasis/core/part';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { BenchState, NewEntry } from '$lib/log/bench.svelte';
	import { lookAlikesOf } from '$lib/words/lookAlikes';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import Despite from './Despite.svelte';
	import Joints from './Joints.svelte';
	import ShimPack from './ShimPack.svelte';
	import SitsHow from './SitsHow.svelte';
	import { refitWords } from '$lib/words/orientation';
	import { placeName } from '$lib/words/place';
	import { refusalSentence } from '$lib/words/problems';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		step: BuildStep;
		/** How each assembly lies when the parts of this step are loaded; null at the bench, where parts are joined outside of it. */
		up: ReadonlyMap<string, Lie> | null;
		locked: boolean;
	}
	let { bench, step, up, locked }: Props = $props();

	const { sheet } = $derived(bench.bench);
	const items = $derived(itemsOf(bench.build, step));
	const keyOf = (item: BuildItem) => (item.kind === 'part' ? item.place.station.key : item.place.unit.key);
	const nameOf = (item: BuildItem) => (item.kind === 'part' ? item.place.station.name : item.place.unit.name);
	const rows = $derived(step.stations.filter((key) => items.some((item) => keyOf(item) === key)));
	const inRow = (key: string) => items.filter((item) => keyOf(item) === key);
	const cylinders = $derived(
		[...new Set(items.map(({ cylinder }) => cylinder))].filter((cylinder) => cylinder > 0).sort((a, b) => a - b)
	);
	const entryOf = (item: BuildItem) => (item.kind === 'part' ? item.place.record.putIn : item.place.putIn);
	const isNew = (item: BuildItem) => item.kind === 'part' && verdictOn(item.place) === 'replace';
	const outside = (item: BuildItem): EntryProblem | undefined =>
		item.kind === 'part' ? keptOut(bench.build, item.place.part) : unitKeptOut(bench.build, item.place);
	// New parts that go in here, beyond those that were booked in for this job.
	const notBookedIn = (key: string) => {
		const station = sheet.stations.find((candidate) => candidate.key === key);
		const wanted = inRow(key).filter(isNew).length * (station?.pieces ?? 1);
		const here = bench.log.arrivals.reduce(
			(sum, { payload }) => sum + (payload.station === key ? payload.pieces : 0),
			0
		);
		return { wanted, here: Math.min(here, wanted) };
	};
	const next = $derived(items.find((item) => !entryOf(item) && !outside(item)));
	const placeOf = (item: BuildItem) => `${keyOf(item)}/${item.cylinder}`;

	let said = $state('');
	let kept = $state('');
	/** What would go against the order: it can go in with a reason. */
	let asked = $state.raw<BuildItem>();

	const going = (item: BuildItem, despite?: string): NewEntry => {
		const reason = despite ? { despite } : {};
		return item.kind === 'part'
			? { kind: 'putIn', part: item.place.part, payload: { piece: isNew(item) ? 'new' : 'same', ...reason } }
			: { kind: 'unitIn', payload: { unit: item.place.unit.key, cylinder: item.cylinder, ...reason } };
	};
	function touch(item: BuildItem) {
		said = '';
		asked = undefined;
		const entry = entryOf(item);
		if (entry) return bench.withdraw(entry, 'removed again');
		const problem = outside(item);
		if (!problem) return bench.record(going(item));
		said = refusalSentence(problem, format);
		if (problem.code === 'deeperFirst') asked = item;
	}
	function despite(reason: string) {
		if (asked) bench.record(going(asked, reason));
		asked = undefined;
		said = '';
	}
	// As far as they may go in: the first that may not is named.
	function touchAll(some: readonly BuildItem[]) {
		said = '';
		asked = undefined;
		for (const item of some) {
			const now = itemsOf(bench.build, step).find((candidate) => placeOf(candidate) === placeOf(item))!;
			if (entryOf(now)) continue;
			const problem = outside(now);
			if (problem) return void (said = refusalSentence(problem, format));
			bench.record(going(now));
		}
	}
	function keep(part: string, text: string) {
		bench.record({ kind: 'note', part, payload: { text } });
		said = '';
		kept = text;
	}
	const stateOf = (item: BuildItem) => {
		const verb = step.joined ? 'joined' : 'in';
		if (item.kind === 'unit') return item.place.putIn ? verb : 'fit as one';
		const { putIn } = item.place.record;
		if (putIn) return `${verb}, ${putIn.payload.piece === 'new' ? 'new' : 'old'}`;
		const verdict = verdictOn(item.place);
		return verdict ? `fit ${verdict === 'replace' ? 'new' : 'old'}` : 'not decided';
	};
	const sign = (item: BuildItem) => {
		if (entryOf(item)) return step.joined ? 'joined' : 'in';
		if (item.kind === 'unit') return 'set';
		return isNew(item) ? 'new' : verdictOn(item.place) ? 'old' : '?';
	};
	const products = ({ products: used }: (typeof sheet.stations)[number]) =>
		used.map(({ product, where, when }) => {
			const known = sheet.products.find(({ key }) => key === product);
			const not = known && known.notOn.length > 0 ? `; never on ${known.notOn.join(', ')}` : '';
			return `${known?.name ?? 'The shop’s own lubricant'}: ${where.toLowerCase()}${when === 'ifTight' ? ', if it is tight' : ''}${not}`;
		});
	const toolsIn = ({ tools }: (typeof sheet.stations)[number]) =>
		tools.flatMap(({ tool, for: when, how }) =>
			when === 'out' || !how ? [] : [`${sheet.tools.find(({ key }) => key === tool)?.name ?? tool}: ${how}`]
		);
	// How each part was found, if the sheet does not state which way it faces. Shown once if all cylinders are alike.
	const directions = (key: string) => {
		const mine = inRow(key).flatMap((item) => (item.kind === 'part' ? [item.place] : []));
		const said = mine.map(({ station, cylinder, record }) => ({
			cylinder,
			text: refitWords(station, sheet, up, record)
		}));
		const alike = said.every(({ text }) => text === said[0].text);
		return alike
			? said.slice(0, 1).map(({ text }) => text)
			: said.map(({ cylinder, text }) => `Cylinder ${cylinder}: ${text}`);
	};
</script>

<div class="grid gap-0.5" role="group" aria-label="Parts to fit">
	{#if step.walk === 'bore' && cylinders.length > 1}
		<div class="flex flex-wrap items-center gap-1.5 pb-1" role="group" aria-label="By cylinder">
			<span class="soft">One {step.joined ? 'set' : 'cylinder'} at a time:</span>
			{#each cylinders as cylinder (cylinder)}
				{@const mine = items.filter((item) => item.cylinder === cylinder)}
				<button
					type="button"
					class="btn"
					disabled={locked || mine.every(entryOf)}
					aria-label="All of cylinder {cylinder}"
					onclick={() => touchAll(mine)}>Cyl. {cylinder}{mine.every(entryOf) ? ' ✓' : ': all'}</button
				>
			{/each}
		</div>
	{/if}
	{#each rows as key (key)}
		{@const mine = inRow(key)}
		{@const [first] = mine}
		{@const here = next !== undefined && keyOf(next) === key}
		<div
			class="row grid grid-cols-[50px_minmax(0,1fr)_auto] gap-2.5 items-center pl-2 pr-1 py-1.5 border-t border-t-line"
			class:here
			role="group"
			aria-label={nameOf(first)}
			aria-current={here ? 'step' : undefined}
		>
			{#if first.kind === 'part'}
				{@const station = first.place.station}
				{@const booked = notBookedIn(key)}
				<Glyph type={station.type} face={station.face} up={up?.get(station.in)} size={46} />
				<div class="leading-[1.3] text-[0.94rem]">
					<b>{station.name}{station.pieces > 1 ? `, ${station.pieces} at each place` : ''}</b>
					{#each directions(key) as text (text)}{#if text}<p>{text}</p>{/if}{/each}
					{#if booked.here < booked.wanted}<p class="soft">
							{booked.here} of {booked.wanted} new {booked.wanted === 1 ? 'piece' : 'pieces'} booked in for this job. Check
							that the right part is in hand, or <a href="/jobs/{bench.bench.job.id}/order">book it in</a>.
						</p>{/if}
					{#if station.elastomer}<p class="soft">
							Material: {station.elastomer}. Do not use products that attack it.
						</p>{/if}
					{#if goesInLubricated(station.type)}<p class="soft">
							Lubricate each part{station.products.length === 0 ? ' as stated by the maker' : ''}. A touch records that
							it is fitted and lubricated.
						</p>{/if}
					{#each products(station) as product (product)}<p class="soft">{product}</p>{/each}
					{#each toolsIn(station) as tool (tool)}<p class="soft">{tool}</p>{/each}
					{#each cautionsFor(station, bench.bench.job.variants, 'in') as caution (caution.text)}<CautionNote
							{caution}
						/>{/each}
					{#each lookAlikesOf(sheet, key) as words (words)}<p><b>Look-alikes.</b> {words}</p>{/each}
					{#if station.joints && station.pieces > 1}<Joints
							rings={station.pieces}
							apartDeg={station.joints.apartDeg}
						/>{/if}
					{#if station.type === 'shim'}<ShimPack onkeep={(words) => keep(first.place.part, words)} />{/if}
				</div>
			{:else}
				{@const unit = first.place.unit}
				<span class="grid grid-cols-[1fr_1fr]" aria-hidden="true"
					>{#each unit.parts.slice(0, 4) as part (part)}{@const station = sheet.stations.find(
							(station) => station.key === part
						)}{#if station}<Glyph
								type={station.type}
								face={station.face}
								up={up?.get(station.in)}
								size={23}
							/>{/if}{/each}</span
				>
				<div class="leading-[1.3] text-[0.94rem]">
					<b>{unit.name}</b>
					<p class="soft">Joined on the bench, fitted as one.</p>
				</div>
			{/if}
			<div class="cells flex flex-wrap justify-end gap-1.5 max-[640px]:col-span-full max-[640px]:justify-start">
				{#each mine as item (placeOf(item))}
					<button
						type="button"
						class:in={entryOf(item)}
						class:next={next !== undefined && placeOf(item) === placeOf(next)}
						class:fresh={isNew(item)}
						aria-pressed={entryOf(item) !== undefined}
						aria-label="{placeName(nameOf(item), item.cylinder)}: {stateOf(item)}"
						disabled={locked}
						onclick={() => touch(item)}
						><span class="figures">{item.cylinder || 'Pump'}</span><small>{sign(item)}</small></button
					>
				{/each}
				{#if mine.length > 1}
					<button
						type="button"
						class="all"
						disabled={locked || mine.every(entryOf)}
						aria-label="All: {nameOf(first)}"
						onclick={() => touchAll(mine)}>All</button
					>
				{/if}
			</div>
		</div>
	{/each}
	{#if said}<p class="wrong" role="alert">{said}</p>{/if}
	{#if asked}<Despite act="Fit it anyway" onreason={despite} />{/if}
	{#if kept}<p class="soft" role="status">Saved with the part: {kept}</p>{/if}
</div>
{#if !locked}<SitsHow places={items.flatMap((item) => (item.kind === 'part' ? [item.place] : []))} onkeep={keep} />{/if}

<style>
	.here {
		box-shadow: inset 4px 0 var(--mark);
	}
	.cells button {
		display: grid;
		place-items: center;
		align-content: center;
		min-width: 58px;
		min-height: 54px;
		border: 1.5px dashed var(--ink-soft);
		cursor: pointer;
		line-height: 1.1;
	}
	.cells .all {
		border-style: solid;
		min-width: 50px;
	}
	.cells .all:disabled {
		opacity: 0.4;
	}
	.cells .next {
		border: 3px solid var(--mark);
	}
	.cells .in {
		border: 2px solid var(--sound);
		background: color-mix(in oklab, var(--sound) 18%, transparent);
	}
	.fresh small {
		font-weight: 700;
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: 50px minmax(0, 1fr);
		}
	}
</style>

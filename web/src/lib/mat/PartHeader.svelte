<!-- @component The part in hand in two lines: its name, which way it goes back, its hours, what may touch it, and what can hurt. -->
<script lang="ts">
	import { shownUnit } from '@exetasis/core/quantity';
	import type { Policy } from '@exetasis/core/decide';
	import { cautionsFor, type Chosen, type Lie, type ModelSheet } from '@exetasis/core/record';
	import CylinderRow from '$lib/pump/CylinderRow.svelte';
	import { lookAlikesOf } from '$lib/words/lookAlikes';
	import type { BenchPart } from '$lib/log/bench.svelte';
	import type { WhereToLook } from '@exetasis/core/trace';
	import type { CaseToWatch } from '@exetasis/server/trace/cases';
	import { foundState, foundWords } from '$lib/words/found';
	import { hazardName } from '$lib/words/hazards';
	import { refitWords } from '$lib/words/orientation';
	import { inSentence, placeName } from '$lib/words/place';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		sheet: ModelSheet;
		policy: Policy;
		/** What this pump is made of. */
		variants: Chosen;
		part: BenchPart;
		/** Which face of each assembly lies up now. */
		up: ReadonlyMap<string, Lie>;
		/** Open cases at this place. */
		cases: readonly CaseToWatch[];
		/** To what a case asks to be looked at first. */
		oncheck: (where: WhereToLook) => void;
	}
	let { sheet, policy, variants, part, up, cases, oncheck }: Props = $props();
	const { station, cell } = $derived(part);
	const cautions = $derived(cautionsFor(station, variants));
	// There is room for one beside a caution; the others are counted.
	const first = $derived(cases.find(({ check }) => check) ?? cases.at(0));

	const abrasive = $derived.by(() => {
		if (!station.abrasive) return [];
		return station.abrasive === 'never' || policy.abrasive === 'never'
			? ['no abrasive on this surface']
			: ['abrasive cloth allowed by the sheet'];
	});
	const found = $derived(foundState(part.record));
	const facts = $derived([
		...(found === 'unsaid' || found === 'right' ? [] : [`found: ${foundWords(part.record, sheet)}`]),
		cell.hours === null ? 'age unknown' : `age ${format.number(cell.hours)} h`,
		...(cell.kept ? [`reused ${cell.kept === 1 ? 'once' : `${cell.kept} times`}`] : []),
		...(cell.earlierLives > 0 ? [`${cell.earlierLives} earlier parts here`] : []),
		...(station.pieces > 1 ? [`${station.pieces} pieces`] : []),
		...(station.design.leastHeight === undefined
			? []
			: [`lapping allowed down to ${format.quantity(station.design.leastHeight, shownUnit('length', format.units))}`]),
		...abrasive,
		...(station.spoils.length > 0
			? [
					`its failure damages: ${station.spoils
						.map((key) => inSentence(sheet.stations.find((station) => station.key === key)?.name ?? key))
						.join(', ')}`
				]
			: []),
		...lookAlikesOf(sheet, station.key)
	]);
	let open = $state(false);
	$effect(() => {
		void station;
		open = false;
	});
</script>

<div
	class="part flex-1 min-w-0 flex items-center gap-[0.6rem] leading-[1.2] max-[600px]:flex-wrap max-[600px]:gap-x-[0.6rem] max-[600px]:gap-y-0.5"
>
	<div class="name flex-1 min-w-0 flex flex-wrap items-center gap-x-[0.9rem] gap-y-0 max-[600px]:basis-full">
		<h1 class="text-[1.15rem] leading-[1.2]">{placeName(station.name, cell.cylinder)}</h1>
		{#if sheet.cylinderOne && sheet.cylinders > 1 && cell.cylinder > 0}
			<CylinderRow
				first={sheet.cylinderOne.side}
				count={sheet.cylinders}
				marked={cell.cylinder}
				height={20}
				label="Cylinder {cell.cylinder} seen from the pressure side. {sheet.cylinderOne.text}"
			/>
		{/if}
		<p
			class="direction text-[0.84rem] max-[600px]:whitespace-nowrap max-[600px]:overflow-hidden max-[600px]:text-ellipsis"
		>
			{refitWords(station, sheet, up, part.record)}
		</p>
		<p class="soft text-[0.8rem] max-[600px]:hidden">{facts.join(' · ')}</p>
	</div>
	{#if first}
		<a
			class="caution case flex-[0_1_36%] min-w-36 min-h-11 text-left text-[0.8rem] border-l-4 border-l-doubt pl-2 cursor-pointer text-ink no-underline"
			href="/trace/cases/{first.id}"
			><span class="line-clamp-3"
				><b>Case: {first.causeName}?</b> {cases.length > 1 ? `${cases.length - 1} more here. ` : ''}{first.remedy}</span
			></a
		>
		{#if first.check}
			<button type="button" class="btn check" onclick={() => oncheck(first.check!)}
				>{first.check.size ? 'Measure' : 'Inspect'} first: {first.check.name.toLowerCase()}</button
			>
		{/if}
	{/if}
	{#if cautions.length > 0}
		<button
			type="button"
			class="caution flex-[0_1_36%] min-w-36 min-h-11 text-left text-[0.8rem] border-l-4 border-l-doubt pl-2 cursor-pointer"
			aria-expanded={open}
			onclick={() => (open = !open)}
			><span class={open ? '' : 'line-clamp-3'}
				>{#each cautions as { hazard, text } (text)}<b>Caution: {hazardName[hazard].toLowerCase()}.</b>
					{text}
				{/each}</span
			></button
		>
	{/if}
</div>

<style>
	/* A case, its check and a caution beside a name: the name keeps its line, so that the panels keep their height. */
	.part:has(.check) .name {
		min-width: 19rem;
	}
	.part:has(.check) .direction {
		line-height: 1.1;
	}
	.part:has(.check) .caution {
		flex: 0 1 16%;
		min-width: 8rem;
	}
	.check {
		flex: 0 1 9.5rem;
		font-size: 0.8rem;
		line-height: 1.15;
		padding-block: 0;
		white-space: normal;
	}
	/* Upright there is height to spare: what is asked and warned stands below the name. */
	@media (max-width: 60rem) {
		.part:has(.check) {
			flex-wrap: wrap;
		}
		.part:has(.check) .name {
			flex-basis: 100%;
		}
		.part:has(.check) .caution,
		.check {
			flex: 1 1 9rem;
		}
	}
	@media (max-width: 600px) {
		.caution.caution {
			flex: 1 1 100%;
		}
	}
</style>

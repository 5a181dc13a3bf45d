<!-- @component Part lives as lines over the pump's hours: one line a place, a mark where a life ended and how. -->
<script lang="ts">
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import type { ModelSheet } from '@exetasis/core/record';
	import { lifeEndName } from '$lib/words/lives';
	import type { LifeListing } from '@exetasis/server/db/sql/lives';
	import { lifePlaces, namesOver } from './lifePlaces';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		sheet: ModelSheet;
		lives: readonly LifeListing[];
		hoursNow: number;
	}
	let { sheet, lives, hoursNow }: Props = $props();

	// Places where nothing was ever replaced are one long line each; they are shown on demand.
	let all = $state(false);
	const places = $derived(lifePlaces(sheet, lives));
	const shown = $derived(places.filter((place) => all || place.lives.length > 1));
	const names = $derived(namesOver(shown));
	const percent = (hours: number) => (hoursNow > 0 ? (100 * hours) / hoursNow : 0);

	function words(life: LifeListing): string {
		const from =
			life.fittedHours === null ? 'fitted before the history began' : `fitted at ${format.number(life.fittedHours)} h`;
		const to =
			life.removedHours === null
				? 'still running'
				: `removed at ${format.number(life.removedHours)} h, ${lifeEndName[life.endReason!]}`;
		const found = life.patterns.map((pattern) => patternName(pattern as PatternKey)).join(', ');
		return [from, to, found].filter(Boolean).join('; ');
	}
</script>

<p class="soft text-[0.78rem]">
	<span class="end worn">×</span> worn or damaged <span class="end good">|</span> replaced in good condition
	<span class="end open">▸</span> running; dashed: fitted before the record began
</p>
<div class="lines" role="list" aria-label="Part lives over {format.number(hoursNow)} pump hours">
	{#each shown as { station, cylinder, lives }, i (`${station.key}/${cylinder}`)}
		<div class="place grid grid-cols-[11rem_1.2rem_1fr] gap-1 items-center text-[0.8rem] h-4.75" role="listitem">
			<span class="whitespace-nowrap overflow-hidden text-ellipsis">{names[i]}</span>
			<span class="figures">{cylinder || ''}</span>
			<span class="relative h-4.25 border-l border-l-line border-r border-r-line">
				{#each lives as life (life.part)}
					{@const start = percent(life.fittedHours ?? 0)}
					{@const end = percent(life.removedHours ?? hoursNow)}
					<span
						class="life absolute top-2 border-t-2 border-t-ink-soft"
						class:unknown={life.fittedHours === null}
						style="left: {start}%; width: {Math.max(0, end - start)}%"
						title={words(life)}
						role="img"
						aria-label={words(life)}
					>
						<span
							class="end absolute -right-[5px] -top-[11px] {life.endReason === null
								? 'open'
								: life.endReason === 'worn' || life.endReason === 'damaged'
									? 'worn'
									: 'good'}"
							>{life.endReason === null
								? '▸'
								: life.endReason === 'worn' || life.endReason === 'damaged'
									? '×'
									: '|'}</span
						>
					</span>
				{/each}
			</span>
		</div>
	{:else}<p class="soft">No part has been replaced yet.</p>{/each}
</div>
<div class="figures soft flex justify-between ml-[12.7rem] text-[0.78rem]" aria-hidden="true">
	<span>0 h</span><span>{format.number(hoursNow / 2)} h</span><span>{format.number(hoursNow)} h</span>
</div>
<button type="button" class="btn" onclick={() => (all = !all)}
	>{all ? 'Only places with replacements' : `All ${places.length} places`}</button
>

<style>
	.life.unknown {
		border-top-style: dashed;
	}
	.end {
		font-size: 14px;
		line-height: 18px;
		font-weight: 700;
	}
	.worn {
		color: var(--pencil);
	}
	.good,
	.open {
		color: var(--ink-soft);
	}
</style>

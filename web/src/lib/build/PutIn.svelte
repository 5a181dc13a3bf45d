<!-- @component The parts of a build step, each drawn as it must face, cylinder by cylinder: one touch says that it is in. -->
<script lang="ts">
	import { keptOut, placesFilled, verdictOn, type BuildPlace, type BuildStep } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { BenchState } from '$lib/log/bench.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import { unitsInUse } from '$lib/ui/preference';
	import Joints from './Joints.svelte';
	import ShimPack from './ShimPack.svelte';
	import SitsHow from './SitsHow.svelte';
	import { refitWords } from '$lib/words/orientation';
	import { placeName } from '$lib/words/place';
	import { refusalSentence } from '$lib/words/problems';

	interface Props {
		bench: BenchState;
		step: BuildStep;
		locked: boolean;
	}
	let { bench, step, locked }: Props = $props();
	const units = unitsInUse();

	const { sheet } = $derived(bench.bench);
	const places = $derived(placesFilled(bench.build, step));
	const stations = $derived([...new Set(places.map(({ station }) => station))]);
	const next = $derived(places.find((place) => !place.record.putIn && !keptOut(bench.build, place.part)));
	const at = (key: string) => places.filter(({ station }) => station.key === key);
	const isNew = (place: BuildPlace) => verdictOn(place) === 'replace';
	let said = $state('');
	let kept = $state('');

	function touch(place: BuildPlace) {
		const { putIn } = place.record;
		said = '';
		if (putIn) return bench.withdraw(putIn, 'taken out again');
		const problem = keptOut(bench.build, place.part);
		if (problem) return void (said = refusalSentence(problem, units()));
		bench.record({ kind: 'putIn', part: place.part, payload: { piece: isNew(place) ? 'new' : 'same' } });
	}
	function keep(part: string, text: string) {
		bench.record({ kind: 'note', part, payload: { text } });
		said = '';
		kept = text;
	}
	const stateOf = (place: BuildPlace) => {
		if (place.record.putIn) return `in, ${place.record.putIn.payload.piece === 'new' ? 'a new one' : 'the old one'}`;
		const verdict = verdictOn(place);
		return verdict ? `goes in: ${verdict === 'replace' ? 'a new one' : 'the old one'}` : 'not decided';
	};
	const products = (station: BuildPlace['station']) =>
		station.products.map(({ product, where, when }) => {
			const name = sheet.products.find(({ key }) => key === product)?.name ?? 'The shop’s own lubricant';
			return `${name}: ${where.toLowerCase()}${when === 'ifTight' ? ', if it goes tight' : ''}`;
		});
</script>

<div class="parts" role="group" aria-label="Put in">
	{#each stations as station (station.key)}
		{@const mine = at(station.key)}
		<div class="row" class:here={next?.station === station}>
			<Glyph type={station.type} face={station.face} up={bench.up.get(station.in)} size={46} />
			<div class="words">
				<b>{station.name}{station.pieces > 1 ? `, ${station.pieces} at each place` : ''}</b>
				<p>{refitWords(station, sheet, bench.up)}</p>
				{#each products(station) as product (product)}<p class="soft">{product}</p>{/each}
				{#if station.caution}<CautionNote caution={station.caution} />{/if}
				{#if station.joints && station.pieces > 1}<Joints
						rings={station.pieces}
						apartDeg={station.joints.apartDeg}
					/>{/if}
				{#if station.type === 'shim'}<ShimPack onkeep={(words) => keep(mine[0].part, words)} />{/if}
			</div>
			<div class="cells">
				{#each mine as place (place.part)}
					<button
						type="button"
						class:in={place.record.putIn}
						class:next={place === next}
						class:fresh={isNew(place)}
						aria-pressed={place.record.putIn !== undefined}
						aria-label="{placeName(station.name, place.cylinder)}: {stateOf(place)}"
						disabled={locked}
						onclick={() => touch(place)}
						><span class="figures">{place.cylinder || 'Pump'}</span><small
							>{place.record.putIn ? 'in' : isNew(place) ? 'new' : verdictOn(place) ? 'old' : '?'}</small
						></button
					>
				{/each}
			</div>
		</div>
	{/each}
	{#if said}<p class="wrong" role="alert">{said}</p>{/if}
	{#if kept}<p class="soft" role="status">Kept with the part: {kept}</p>{/if}
</div>
{#if !locked}<SitsHow {places} onkeep={keep} />{/if}

<style>
	.parts {
		display: grid;
		gap: 2px;
	}
	.row {
		display: grid;
		grid-template-columns: 50px minmax(0, 1fr) auto;
		gap: 10px;
		align-items: center;
		padding: 6px 4px 6px 8px;
		border-top: 1px solid var(--line);
	}
	.here {
		box-shadow: inset 4px 0 var(--mark);
	}
	.words {
		line-height: 1.3;
		font-size: 0.94rem;
	}
	.cells {
		display: flex;
		gap: 6px;
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
		.cells {
			grid-column: 1 / -1;
			flex-wrap: wrap;
		}
	}
</style>

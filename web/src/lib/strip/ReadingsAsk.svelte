<!-- @component Readings that a step asks for, at each cylinder or at places round the pump, with their difference. -->
<script lang="ts">
	import { parseQuantity, unitLabel, type Unit } from '@exetasis/core/quantity';
	import { differenceOf, placesAsked, tooFarApart, type Answer, type Ask } from '@exetasis/core/record';
	import { quantitySentence } from '$lib/words/problems';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	type Value = Answer['payload']['value'];
	interface Props {
		ask: Extract<Ask, { kind: 'readings' }>;
		/** The cylinders that the job opens. */
		cylinders: readonly number[];
		given?: Value;
		locked: boolean;
		onanswer: (value: Value) => void;
	}
	let { ask, cylinders, given, locked, onanswer }: Props = $props();
	const id = $props.id();

	const places = $derived(placesAsked(ask, cylinders));
	const taken = $derived(typeof given === 'object' && 'readings' in given ? given.readings : []);
	let typed = $state<Record<string, string>>({});
	let problem = $state('');
	let wrongAt = $state<number | string>();
	// An answer from another tablet is shown as well.
	$effect(() => {
		for (const [i, { typed: given }] of taken.entries()) typed[places[i]] = given.text;
	});
	const difference = $derived(taken.length > 1 ? differenceOf(taken) : undefined);
	const hold = $derived(taken.length > 0 ? tooFarApart(ask, taken) : undefined);

	function take() {
		problem = '';
		wrongAt = undefined;
		const readings: { value: number; typed: { text: string; unit: Unit } }[] = [];
		for (const place of places) {
			const text = (typed[place] ?? '').trim();
			const read = parseQuantity(text, ask.unit);
			if (read.kind === 'problem') {
				wrongAt = place;
				return void (problem = `${name(place)}: ${quantitySentence(read.problem, format, 'Type the reading.')}`);
			}
			readings.push({ value: read.base, typed: { text, unit: read.unit } });
		}
		onanswer({ readings });
	}
	const name = (place: number | string) => (typeof place === 'number' ? `Cylinder ${place}` : place);
</script>

<span class="basis-full">{ask.text}, {unitLabel(ask.unit)}</span>
{#each places as place (place)}
	<label class="flex items-center gap-1">
		<span class="soft">{name(place)}</span>
		<input
			id="{id}-{place}"
			class="input w-20!"
			inputmode="decimal"
			autocomplete="off"
			maxlength="40"
			disabled={locked}
			bind:value={typed[place]}
			aria-invalid={wrongAt === place}
			onkeydown={(event) => event.key === 'Enter' && take()}
		/>
	</label>
{/each}
<button type="button" class="btn" disabled={locked} onclick={take}>{given === undefined ? 'Enter' : 'Change'}</button>
{#if difference !== undefined}
	<span role="status">
		Largest difference <b class="figures">{format.difference(difference, ask.unit)}</b>{#if ask.most}, at most {format.quantity(
				ask.most.difference,
				ask.unit
			)}{:else if places.length > 1}<span class="soft">&nbsp;(no limit stated)</span>{/if}
	</span>
{/if}
{#if hold}<b class="wrong">{hold}</b>{/if}
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}

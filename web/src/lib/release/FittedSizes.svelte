<!-- @component Sizes of the new part as it is fitted: its wear is counted from there. One field a size that is always measured. -->
<script lang="ts">
	import { partType } from '@exetasis/core/part';
	import { dimensionOf, parseQuantity, shownUnit } from '@exetasis/core/quantity';
	import {
		characteristicOf,
		checkFitted,
		checkPlausible,
		discardLimit,
		type SheetCharacteristic
	} from '@exetasis/core/record';
	import { quantitySentence, refusalSentence } from '$lib/words/problems';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
	}
	let { bench, part, locked }: Props = $props();
	const id = $props.id();
	let problems = $state<Record<string, string>>({});

	const isForm = (sheet: SheetCharacteristic) => characteristicOf(part.station, sheet.key).form !== undefined;
	const sizes = $derived(
		part.station.characteristics.filter(
			(characteristic) => characteristic.when === 'always' && discardLimit(characteristic) && !isForm(characteristic)
		)
	);
	const nameOf = (key: string) =>
		partType(part.station.type).characteristics.find((characteristic) => characteristic.key === key)!.name;
	const unitOf = (sheet: SheetCharacteristic) => shownUnit(dimensionOf(sheet.unit), format.units);
	const keptAs = (key: string) => part.record.fitted.find(({ payload }) => payload.characteristic === key)?.payload;

	function keep(sheet: SheetCharacteristic, text: string) {
		problems = { ...problems, [sheet.key]: '' };
		if (text.trim() === '' || text === keptAs(sheet.key)?.typed.text) return;
		const parsed = parseQuantity(text, unitOf(sheet), (base) => checkPlausible(base, sheet) === undefined);
		const say = (problem: string) => void (problems = { ...problems, [sheet.key]: problem });
		if (parsed.kind === 'problem') return say(quantitySentence(parsed.problem, format));
		const payload = {
			characteristic: sheet.key,
			value: parsed.base,
			typed: { text: text.trim(), unit: parsed.unit }
		};
		const refused = checkFitted(payload, part.station);
		if (refused) return say(refusalSentence(refused, format));
		bench.record({ kind: 'fitted', part: part.cell.part, payload });
	}
</script>

{#each sizes as sheet (sheet.key)}
	<div class="label max-w-60">
		<label for="{id}-{sheet.key}" class="soft">{nameOf(sheet.key)} of the new part</label>
		<input
			id="{id}-{sheet.key}"
			class="figures"
			inputmode="decimal"
			autocomplete="off"
			disabled={locked}
			placeholder={format.quantity(sheet.nominal, unitOf(sheet))}
			value={keptAs(sheet.key)?.typed.text ?? ''}
			aria-invalid={Boolean(problems[sheet.key])}
			onchange={(event) => keep(sheet, event.currentTarget.value)}
		/>
		{#if problems[sheet.key]}<p class="wrong" role="alert">{problems[sheet.key]}</p>{/if}
	</div>
{/each}

<style>
	label.soft {
		font-weight: 400;
		font-size: 0.8rem;
	}
</style>

<!-- @component The risk that one size passes its limit by the next service: with their interval, and how much is prior and how much record. -->
<script lang="ts">
	import type { Outlook } from '@exetasis/core/decide';
	import type { Age } from '@exetasis/core/life';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import type { SheetCharacteristic } from '@exetasis/core/record';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		sheet: SheetCharacteristic;
		outlook: Outlook;
		age: Age;
		/** Set where several sizes stand together. */
		name?: string;
	}
	let { sheet, outlook, age, name }: Props = $props();
	const unit = $derived(shownUnit(dimensionOf(sheet.unit), format.units));

	const risk = $derived(outlook.risk);
	const basis = $derived.by((): string => {
		const { from, priorWeight, lives, parts } = outlook.basis;
		const prior = `${from === 'sheet' ? 'the prior of the model sheet' : 'the general prior for this type of part'} (weight ${format.number(priorWeight)} ${priorWeight === 1 ? 'life' : 'lives'})`;
		return parts === 0
			? `${prior} and its own wear; no such part in the history`
			: `its own wear, ${parts} parts in the history (weight ${format.number(lives, lives < 10 ? 1 : 0)} lives) and ${prior}`;
	});
	const unknownAge = $derived.by(() => {
		if (age.kind === 'known') return '';
		return `Age unknown. Assumed: half as old as the pump, half between ${format.number(age.seenFor)} and ${format.number(age.atMost)} h.`;
	});
</script>

<p class="soft text-[0.82rem]">
	{name ? `${name}: ` : ''}<b class="figures">{format.probability(risk.probability)}</b> ({format.probability(risk.low)} to
	{format.probability(risk.high)}) of passing the limit by the next service. From {basis}; {format.difference(
		outlook.ratePer1000h,
		unit
	)} per 1000 h. {unknownAge}
</p>

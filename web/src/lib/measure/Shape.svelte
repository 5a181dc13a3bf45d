<!-- @component The shape that a part has worn to, from all its readings: ovality, taper, roundness, cylindricity, flatness. -->
<script lang="ts">
	import { wornShape, type MeasuredCharacteristic } from '@exetasis/core/decide';
	import { shownUnit } from '@exetasis/core/quantity';
	import { pointsToRead } from '@exetasis/core/record';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		size: MeasuredCharacteristic;
	}
	let { size }: Props = $props();
	const unit = $derived(shownUnit('length', format.units));
	const shape = $derived(wornShape(size));
	const station = (index: number) => pointsToRead(size.sheet).rows[index].toLowerCase();
	const both = ({ leastSquares, minimumZone }: { leastSquares: number; minimumZone: number }) =>
		`${format.difference(minimumZone, unit)} (least squares ${format.difference(leastSquares, unit)})`;

	const lines = $derived([
		...(shape.ovality
			? [['Ovality', `${format.difference(shape.ovality.value, unit)}, ${station(shape.ovality.row)}`]]
			: []),
		...(shape.taper
			? [['Taper', `${format.difference(shape.taper.value, unit)}, thinnest: ${station(shape.taper.thinnest)}`]]
			: []),
		...(shape.roundness ? [['Roundness', `${both(shape.roundness)}, ${station(shape.roundness.row)}`]] : []),
		...(shape.cylindricity ? [['Cylindricity', both(shape.cylindricity)]] : []),
		...(shape.flatness ? [['Flatness', both(shape.flatness)]] : [])
	]);
</script>

{#if lines.length > 0}
	<dl class="grid grid-cols-[auto_1fr] gap-x-[0.7rem] gap-y-0 text-[0.86rem] my-1">
		{#each lines as [name, says] (name)}
			<dt class="text-ink-soft">{name}</dt>
			<dd class="figures">{says}</dd>
		{/each}
	</dl>
{/if}

<!-- @component What a sheet says beyond its parts: sub-assemblies, order, fastenings, kits, look-alikes and variants. -->
<script lang="ts">
	import type { ModelSheet } from '@exetasis/core/record';
	import BoltMap from '$lib/measure/BoltMap.svelte';
	import CylinderOne from '$lib/pump/CylinderOne.svelte';
	import { toldApart } from '$lib/words/lookAlikes';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		sheet: ModelSheet;
		currency: string;
	}
	let { sheet, currency }: Props = $props();
	const nameOf = (key: string): string =>
		[...sheet.stations, ...sheet.subAssemblies].find((named) => named.key === key)?.name ??
		sheet.steps.find((step) => step.key === key)?.text ??
		key;
	const names = (keys: readonly string[]) => keys.map(nameOf).join(' → ');
	const fastened = $derived(sheet.stations.filter(({ fastening }) => fastening));
</script>

{#if sheet.cylinderOne}
	<h2 class="mt-4">Cylinder 1</h2>
	<CylinderOne cylinderOne={sheet.cylinderOne} count={sheet.cylinders} />
{/if}
{#if sheet.subAssemblies.length > 0}
	<h2 class="mt-4">Sub-assemblies</h2>
	<ul class="squares max-w-[70rem]">
		{#each sheet.subAssemblies as { key, name, parts, how, sure } (key)}
			<li><b>{name}</b>: {names(parts)}. {how ?? ''}{sure === 'deduced' ? ' (deduced)' : ''}</li>
		{/each}
	</ul>
{/if}
<h2 class="mt-4">Order</h2>
{#if sheet.order.length === 0}
	<p class="soft">Not stated. Parts are refitted in the reverse of the strip order.</p>
{/if}
<ul class="squares max-w-[70rem]">
	{#each sheet.order as { first, why, sure }, i (i)}
		<li>{names(first)}. <span class="soft">{why}{sure === 'deduced' ? ' (deduced)' : ''}</span></li>
	{/each}
</ul>
{#if fastened.length > 0}
	<h2 class="mt-4">Tightening</h2>
	<div class="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-3 items-start">
		{#each fastened as { key, name, fastening } (key)}
			<section>
				<h3>{name}</h3>
				<BoltMap fastening={fastening!} />
			</section>
		{/each}
	</div>
{/if}
{#if sheet.kits.length > 0}
	<h2 class="mt-4">Kits</h2>
	<ul class="squares max-w-[70rem]">
		{#each sheet.kits as { number, name, price, holds } (number)}
			<li>
				<b>{number}</b>
				{name}, {format.number(price)}
				{currency}: {holds.map(({ station, pieces }) => `${pieces} × ${nameOf(station)}`).join(', ')}
			</li>
		{/each}
	</ul>
{/if}
{#if sheet.lookAlikes.length > 0}
	<h2 class="mt-4">Look-alikes</h2>
	<ul class="squares max-w-[70rem]">
		{#each sheet.lookAlikes as alike, i (i)}
			<li>
				<b>{alike.stations.map(nameOf).join(', ')}</b>: {toldApart(alike)}
			</li>
		{/each}
	</ul>
{/if}
{#if sheet.variants.length > 0}
	<h2 class="mt-4">Variants</h2>
	<ul class="squares max-w-[70rem]">
		{#each sheet.variants as { key, name, choices, per } (key)}
			<li>
				<b>{name}</b>{per === 'cylinder' ? ', per cylinder' : ''}: {choices.map((choice) => choice.name).join(', ')}
			</li>
		{/each}
	</ul>
{/if}

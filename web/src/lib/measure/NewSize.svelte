<!-- @component A size of a part whose sheet grows with the job: chosen among those of its type, with what a new part measures. -->
<script lang="ts">
	import { canBeAdded } from '@exetasis/core/draft';
	import { partType } from '@exetasis/core/part';
	import type { Station } from '@exetasis/core/record';
	import { laidDownInUse } from '$lib/strip/laidDownInUse';
	import Choose from '$lib/ui/Choose.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';

	interface Props {
		station: Station;
		part: string;
	}
	let { station, part }: Props = $props();
	const list = $derived(laidDownInUse()());
	const missing = $derived(
		partType(station.type).characteristics.filter(
			({ key, form }) => !form && !station.characteristics.some((size) => size.key === key)
		)
	);
	const offered = $derived(({ key }: { key: string }) => list && canBeAdded(station.type, key, list.customs));
	const sizes = $derived(missing.filter(offered));
	const others = $derived(missing.filter((size) => !offered(size)).map(({ name }) => name));
	let chosen = $state<string>();
	const size = $derived(sizes.find(({ key }) => key === chosen) ?? sizes.at(0));
	let nominal = $state<number>();
	let problem = $state('');

	function add() {
		if (!size || !list) return;
		if (nominal === undefined) return void (problem = 'Measure a new part first, and type its size.');
		problem = '';
		list.addSize({ part, characteristic: size.key, nominal });
	}
</script>

{#if size && list}
	<div class="grid grid-cols-[1fr_1fr_auto] gap-1.5 items-end" role="group" aria-label="Add a size">
		<Choose
			label="Size to measure"
			value={size.key}
			options={sizes.map(({ key, name }) => [key, name] as const)}
			onchoose={(key) => {
				chosen = key;
				nominal = undefined;
			}}
		/>
		{#key size.key}
			<QuantityField
				label="A new part measures"
				value={nominal}
				unit={size.unit}
				optional
				check={(value) => (value > 0 ? undefined : 'The size must be above 0.')}
				onchange={(value) => (nominal = value)}
			/>
		{/key}
		<button type="button" class="btn" onclick={add}>Add size</button>
	</div>
	<p class="soft text-[0.8rem]">
		This pump has no checked sheet. The limit comes from like parts and stays marked as assumed.
	</p>
	{#if others.length > 0}<p class="soft text-[0.8rem]">
			Not offered, because no known sheet limits it: {others.join(', ')}. A lead adds it on the sheet, with a limit.
		</p>{/if}
	{#if problem || list.problem}<p class="wrong" role="alert">{problem || list.problem}</p>{/if}
{/if}

<!-- @component Kits: what is bought in one bag, and how many pieces of each part it holds; prices and kits from a file. -->
<script lang="ts">
	import type { Kit } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import PriceFile from './PriceFile.svelte';
	import type { DraftState } from './draft.svelte';

	interface Props {
		draft: DraftState;
		currency: string;
	}
	let { draft, currency }: Props = $props();
	const MOST = 40;
	const kits = $derived(draft.body.kits);
	const keep = (next: readonly Kit[]) => draft.change({ ...draft.body, kits: [...next] });
	const change = (i: number, next: Partial<Kit>) => keep(kits.with(i, { ...kits[i], ...next }));
	const nameOf = (key: string) => draft.body.stations.find((station) => station.key === key)?.name ?? key;
	const left = (kit: Kit) => draft.body.stations.filter(({ key }) => !kit.holds.some(({ station }) => station === key));
	let first = $state('');
	function add(number: string | undefined) {
		const station = draft.body.stations.find(({ key }) => key === first) ?? draft.body.stations.at(0);
		if (!number || !station || kits.length >= MOST) return;
		const pieces = station.pieces * (station.per === 'cylinder' ? draft.body.cylinders : 1);
		keep([...kits, { number, name: `Kit ${number}`, price: 0, holds: [{ station: station.key, pieces }] }]);
	}
	const whole = (value: number) =>
		Number.isInteger(value) && value >= 1 && value <= 200 ? undefined : 'Type a whole number from 1 to 200.';
</script>

{#each kits as kit, i (i)}
	<section class="border-b border-b-line py-2 grid gap-2" aria-label="Kit {kit.number}">
		<div class="row grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-2 items-end">
			<TextEdit label="Number" value={kit.number} onchange={(number = '') => change(i, { number })} />
			<TextEdit label="Name" value={kit.name} onchange={(name = '') => change(i, { name })} />
			<QuantityField
				label="Price"
				value={kit.price}
				unit="pieces"
				suffix={currency}
				check={(price) => (price >= 0 ? undefined : 'The price must be 0 or more.')}
				onchange={(price) => price !== undefined && change(i, { price })}
			/>
			<div class="label">
				<button type="button" class="btn" onclick={() => keep(kits.toSpliced(i, 1))}>Delete kit</button>
			</div>
		</div>
		<div class="row grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-2 items-end">
			{#each kit.holds as hold, j (hold.station)}
				<div class="flex gap-1 items-end">
					<QuantityField
						label={nameOf(hold.station)}
						value={hold.pieces}
						unit="pieces"
						check={whole}
						onchange={(pieces) => pieces !== undefined && change(i, { holds: kit.holds.with(j, { ...hold, pieces }) })}
					/>
					{#if kit.holds.length > 1}<button
							type="button"
							class="btn"
							aria-label="Take {nameOf(hold.station)} out of the kit"
							onclick={() => change(i, { holds: kit.holds.toSpliced(j, 1) })}>×</button
						>{/if}
				</div>
			{/each}
			<Choose
				label="Add part"
				value=""
				options={[['', 'Choose a part'], ...left(kit).map(({ key, name }) => [key, name] as const)]}
				onchoose={(station) => station !== '' && change(i, { holds: [...kit.holds, { station, pieces: 1 }] })}
			/>
		</div>
	</section>
{:else}<p class="soft">No kits yet. Parts that no kit holds are bought singly.</p>{/each}
{#if draft.body.stations.length > 0}
	<h2 class="mt-4">New kit</h2>
	<div
		role="group"
		aria-label="New kit"
		class="row grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-2 items-end"
	>
		<Choose
			label="First part"
			value={first === '' ? draft.body.stations[0].key : first}
			options={draft.body.stations.map(({ key, name }) => [key, name] as const)}
			onchoose={(chosen) => (first = chosen)}
		/>
		{#key kits.length}<TextEdit label="Number" value={undefined} optional onchange={add} />{/key}
	</div>
	<h2 class="mt-4 mb-1">From a file</h2>
	<PriceFile {draft} mostKits={MOST} />
{/if}

<!-- @component A size of a part whose sheet grows with the job: chosen among those of its type, with what a new part measures. -->
<script lang="ts">
	import { partType } from '@exetasis/core/part';
	import type { Station } from '@exetasis/core/record';
	import { growSheet } from '$lib/strip/growSheet';
	import Choose from '$lib/ui/Choose.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';

	interface Props {
		job: string;
		station: Station;
		cylinder: number;
	}
	let { job, station, cylinder }: Props = $props();
	const sizes = $derived(
		partType(station.type).characteristics.filter(
			({ key, form }) => !form && !station.characteristics.some((size) => size.key === key)
		)
	);
	let chosen = $state<string>();
	const size = $derived(sizes.find(({ key }) => key === chosen) ?? sizes.at(0));
	let nominal = $state<number>();
	let problem = $state('');
	let sending = $state(false);

	const UNANSWERED = 'The server does not answer. What you entered is kept. Try again in a moment.';

	async function add() {
		if (!size) return;
		if (nominal === undefined) return void (problem = 'Measure a new part first, and type its size.');
		sending = true;
		const fields = { station: station.key, characteristic: size.key, nominal: String(nominal) };
		const answer = await growSheet(job, 'size', fields);
		problem = answer.kind === 'refused' ? answer.why : answer.kind === 'unanswered' ? UNANSWERED : '';
		sending = false;
		// The job goes by the next revision now: load it again, with this part in hand.
		if (problem === '') location.assign(`/jobs/${job}/inspect?place=${station.key}/${cylinder}`);
	}
</script>

{#if size}
	<div class="new" role="group" aria-label="Add a size">
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
		<button type="button" class="btn" disabled={sending} onclick={() => void add()}>Add size</button>
	</div>
	<p class="soft">This pump has no checked sheet. The limit comes from like parts and stays marked as assumed.</p>
	{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
{/if}

<style>
	.new {
		display: grid;
		grid-template-columns: 1fr 1fr auto;
		gap: 6px;
		align-items: end;
	}
	.soft {
		font-size: 0.8rem;
	}
</style>

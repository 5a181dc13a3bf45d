<!-- @component Everything that the sheet states of the part in hand. Each field is taken as it is left. -->
<script lang="ts">
	import {
		withMates,
		withPartChanged,
		withPartsCopied,
		withPartsMoved,
		withoutParts,
		type Customs
	} from '@exetasis/core/draft';
	import { partType } from '@exetasis/core/part';
	import { stationSchema, type Station } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import { renewalName } from '$lib/words/draft';
	import type { DraftState } from './draft.svelte';
	import MoreFields from './fields/MoreFields.svelte';
	import { statementForm } from './fields/statementForm.svelte';
	import OnlyWithChoices from './OnlyWithChoices.svelte';
	import PartBolts from './PartBolts.svelte';
	import PartCautions from './PartCautions.svelte';
	import PartDirection from './PartDirection.svelte';
	import PartProducts from './PartProducts.svelte';
	import PartSizes from './PartSizes.svelte';
	import PartTools from './PartTools.svelte';

	interface Props {
		draft: DraftState;
		part: Station;
		customs: Customs;
		currency: string;
	}
	let { draft, part, customs, currency }: Props = $props();
	const custom = $derived(customs[part.type]);
	const at = $derived(draft.body.stations.findIndex(({ key }) => key === part.key));
	const change = (next: Partial<Station>) => draft.change(withPartChanged(draft.body, part.key, next));
	const move = (by: number) => draft.change(withPartsMoved(draft.body, [part.key], at + by));
	const others = $derived(draft.body.stations.filter(({ key }) => key !== part.key));
	const nameOf = (mate: string) => others.find(({ key }) => key === mate)?.name ?? mate;
	const form = statementForm(stationSchema, () => part, change);
	const holds = (name: keyof typeof stationSchema.shape) => (value: unknown) => form.type(name, value);
	const bolts = $derived(part.type === 'fastener' || part.fastening !== undefined);
	const more = [
		'alsoCalled',
		'side',
		'stays',
		'mayStayIn',
		'face',
		'joints',
		'newAdvised',
		'tools',
		'products',
		'cautions',
		'elastomer',
		'characteristics',
		'design',
		'surface',
		'abrasive',
		'fastening',
		'mates',
		'gates',
		'spoils',
		'collateral',
		'lifePrior',
		'inferred'
	];
	function open(scope: string) {
		const scopes = part.scopes.includes(scope)
			? part.scopes.filter((candidate) => candidate !== scope)
			: [...part.scopes, scope];
		if (scopes.length > 0) change({ scopes });
	}
</script>

<div class="flex flex-wrap gap-1.5">
	<button type="button" class="btn" disabled={at <= 0} onclick={() => move(-1)}>◂ Earlier</button>
	<button type="button" class="btn" disabled={at >= draft.body.stations.length - 1} onclick={() => move(1)}
		>Later ▸</button
	>
	<button type="button" class="btn" onclick={() => draft.change(withPartsCopied(draft.body, [part.key]))}>Copy</button>
	<button type="button" class="btn" onclick={() => draft.change(withoutParts(draft.body, [part.key]))}>Delete</button>
</div>
<PartDirection {draft} {part} {customs} />
<div class="two grid grid-cols-[1fr_1fr] gap-2 items-end">
	<TextEdit
		label="Name"
		value={part.name}
		check={holds('name')}
		offered={custom?.names ?? []}
		onchange={(name = '') => change({ name })}
	/>
	<TextEdit label="Short name" value={part.short} check={holds('short')} onchange={(short = '') => change({ short })} />
	<Choose
		label="Assembly"
		value={part.in}
		options={draft.body.assemblies.map(({ key, name }) => [key, name] as const)}
		onchoose={(assembly) => change({ in: assembly })}
	/>
	<Choose
		label="How many places"
		value={part.per}
		options={[
			['cylinder', 'One per cylinder'],
			['pump', 'One in the pump']
		]}
		onchoose={(per) => change({ per })}
	/>
	<QuantityField
		label="Pieces at a place"
		value={part.pieces}
		unit="pieces"
		check={holds('pieces')}
		suffix={part.inferred.includes('pieces') ? 'deduced' : undefined}
		onchange={(pieces) =>
			pieces !== undefined && change({ pieces, inferred: part.inferred.filter((field) => field !== 'pieces') })}
	/>
	<Choose
		label="Renewal"
		value={part.renewal}
		options={Object.entries(renewalName) as [Station['renewal'], string][]}
		onchoose={(renewal) => change({ renewal, inferred: part.inferred.filter((field) => field !== 'renewal') })}
	/>
</div>
<h3 class="mt-2 border-b border-line font-[650]">Sizes</h3>
<PartSizes {draft} {part} {customs} />
{#if bolts}
	<h3 class="mt-2 border-b border-line font-[650]">Bolts and torque</h3>
	<PartBolts {draft} {part} />
{/if}
<h3 class="mt-2 border-b border-line font-[650]">Inspection and fitting</h3>
<TextEdit
	label="Inspect for"
	value={part.lookFor}
	optional
	check={holds('lookFor')}
	offered={custom?.lookFor ?? []}
	onchange={(lookFor) => change({ lookFor, inferred: part.inferred.filter((field) => field !== 'lookFor') })}
/>
<TextEdit
	label="How it is fitted"
	value={part.fit}
	optional
	check={holds('fit')}
	onchange={(fit) => change({ fit, inferred: part.inferred.filter((field) => field !== 'fit') })}
/>
<PartTools {draft} {part} />
<PartProducts {draft} {part} />
<PartCautions
	cautions={part.cautions}
	offered={custom?.cautions ?? []}
	onchange={(cautions) => change({ cautions: cautions.map((caution) => ({ when: 'both' as const, ...caution })) })}
/>
<h3 class="mt-2 border-b border-line font-[650]">Ordering</h3>
<div class="two grid grid-cols-[1fr_1fr] gap-2 items-end">
	<TextEdit
		label="Part number"
		value={part.number}
		optional
		check={holds('number')}
		onchange={(number) => change({ number })}
	/>
	<QuantityField
		label="Price"
		value={part.price}
		unit="pieces"
		suffix="{currency}{part.inferred.includes('price') ? ', assumed' : ''}"
		check={holds('price')}
		onchange={(price) =>
			price !== undefined && change({ price, inferred: part.inferred.filter((field) => field !== 'price') })}
	/>
	<QuantityField
		label="Delivery"
		value={part.deliveryDays}
		unit="pieces"
		suffix="days"
		optional
		check={holds('deliveryDays')}
		onchange={(deliveryDays) => change({ deliveryDays })}
	/>
	{#if part.inferred.includes('price')}<div class="label">
			<button
				type="button"
				class="btn"
				onclick={() => change({ inferred: part.inferred.filter((field) => field !== 'price') })}>Confirm price</button
			>
		</div>{/if}
</div>
<h3 class="mt-2 border-b border-line font-[650]">Runs with</h3>
<div class="flex flex-wrap gap-1.5">
	{#each part.mates as mate (mate)}
		<button
			type="button"
			class="btn"
			aria-label="Remove mate {nameOf(mate)}"
			onclick={() => draft.change(withMates(draft.body, part.key, mate))}>{nameOf(mate)} ×</button
		>
	{/each}
</div>
<button
	type="button"
	class="btn"
	aria-pressed={draft.mating === part.key}
	onclick={() => (draft.mating = draft.mating === part.key ? undefined : part.key)}>Touch mates on the drawing</button
>
{#if draft.mating === part.key}<p class="soft">Touch each part that it runs with. Touch it again to remove it.</p>{/if}
<Choose
	label="Add mate"
	value=""
	options={[
		['', 'Choose a part'],
		...others.filter(({ key }) => !part.mates.includes(key)).map(({ key, name }) => [key, name] as const)
	]}
	onchoose={(mate) => mate !== '' && draft.change(withMates(draft.body, part.key, mate))}
/>
{#if draft.body.scopes.length > 1}
	<h3 class="mt-2 border-b border-line font-[650]">Opened in</h3>
	<div class="flex flex-wrap gap-1.5">
		{#each draft.body.scopes as scope (scope.key)}
			<button type="button" class="btn" aria-pressed={part.scopes.includes(scope.key)} onclick={() => open(scope.key)}
				>{scope.name}</button
			>
		{/each}
	</div>
{/if}
{#if draft.body.variants.length > 0}
	<h3 class="mt-2 border-b border-line font-[650]">Variants</h3>
	<OnlyWithChoices
		variants={draft.body.variants}
		onlyWith={part.onlyWith}
		onchange={(onlyWith) => change({ onlyWith })}
	/>
{/if}
<h3 class="mt-2 border-b border-line font-[650]">More statements</h3>
<MoreFields {form} names={more} draft={draft.body} type={part.type} />
<p class="soft">Part type: {partType(part.type).name}.</p>

<!-- @component The shop's rules for reuse and replace, which every verdict follows; a lead sets them. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { renewalPolicies } from '@exetasis/core/decide';
	import { keptForm } from '$lib/forms/kept';
	import Field from '$lib/ui/Field.svelte';
	import { say } from '$lib/ui/said';
	import Said from '$lib/ui/Said.svelte';
	import ShopNav from '$lib/ui/ShopNav.svelte';
	import { customChoices } from '$lib/words/customs';
	import { renewalPolicyName } from '$lib/words/policies';

	let { data } = $props();
	const { form, errors, enhance } = keptForm(
		untrack(() => data.form),
		{ onUpdated: ({ form }) => form.valid && say(String(form.message)) }
	);
	const renewalPolicySays = {
		renewSoft: 'Packings, seals, O-rings and gaskets are replaced at every rebuild, other parts by condition.',
		onCondition: 'Every part that passes inspection and its limits is reused.',
		leastCost:
			'The set with the lowest expected cost, from chances, prices and the cost of an unplanned stop. Parts without a forecast go by condition.'
	} as const;
	const fields = $derived([
		['intervalHours', 'Hours to the next planned service', 'h'],
		['acceptBad', 'Risk of reusing a part beyond its limit', '%'],
		['scrapGood', 'Risk of replacing a part within its limit', '%'],
		['acceptWearOut', 'Replace above this chance of passing the limit before the next service', '%'],
		['downtimeCost', 'Cost of an unplanned stop, without opening the pump', data.shop?.currency ?? ''],
		['lifeLeftShare', 'Remaining life of a unit with a damaged drive end, compared with a new one (assumption)', '%'],
		['liftAloneKg', 'Lifting limit for one person', 'kg']
	] as const);
	import Fields from '$lib/ui/Fields.svelte';
</script>

<svelte:head><title>Shop · Exetasis</title></svelte:head>
<h1>{data.shop?.name}</h1>
<ShopNav />
<Said />
<p class="soft mb-2">
	Every verdict follows these rules. Limits come from the model sheets. A decision against the proposal is always
	recorded with its reason.
</p>
<form
	method="post"
	action="?/policy"
	use:enhance
	class="columns grid grid-cols-[1fr_1fr] gap-3 items-start max-[900px]:grid-cols-[1fr]"
>
	<Fields>
		<div class="grid gap-3">
			<fieldset class="sheet p-[0.9rem] grid gap-[0.8rem]" disabled={!data.mayManage}>
				<legend class="group-head">Replacement policy in force</legend>
				{#each renewalPolicies as renewalPolicy (renewalPolicy)}
					<label class="grid grid-cols-[2.75rem_1fr] min-h-11 items-center cursor-pointer">
						<input
							class="size-[22px] accent-mark"
							type="radio"
							name="renewalPolicy"
							value={renewalPolicy}
							bind:group={$form.renewalPolicy}
						/>
						<span
							><b>{renewalPolicyName[renewalPolicy]}</b><br /><span class="soft text-[0.88rem]"
								>{renewalPolicySays[renewalPolicy]}</span
							></span
						>
					</label>
				{/each}
			</fieldset>
			<fieldset class="sheet p-[0.9rem] grid gap-[0.8rem]" disabled={!data.mayManage}>
				<legend class="group-head">Shop rules where practice differs</legend>
				<div class="clear-both grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-[0.8rem]">
					{#each customChoices as [name, label, choices] (name)}
						<Field {name} {label} options={choices} bind:value={$form[name]} errors={$errors[name]} />
					{/each}
				</div>
			</fieldset>
		</div>
		<fieldset class="sheet p-[0.9rem] grid gap-[0.8rem]" disabled={!data.mayManage}>
			<legend class="group-head">Figures</legend>
			{#each fields as [name, label, unit] (name)}
				<Field {name} label="{label}, {unit}" bind:value={$form[name]} errors={$errors[name]} />
			{/each}
		</fieldset>
		<div class="col-span-full sticky bottom-0 flex items-center gap-4 py-[0.6rem] bg-paper">
			{#if data.mayManage}
				<div><button class="btn main">Save</button></div>
			{:else}<p class="soft">A lead can change these.</p>{/if}
		</div>
	</Fields>
</form>

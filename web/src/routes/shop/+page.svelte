<!-- @component The shop's rules for reuse and replace, which every verdict follows; a lead sets them. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { schools } from '@exetasis/core/decide';
	import { formatNumber } from '$lib/ui/numbers';
	import { customChoices } from '$lib/words/customs';
	import ShopNav from '$lib/ui/ShopNav.svelte';
	import { schoolName } from '$lib/words/schools';

	let { data, form } = $props();
	const typed = $derived((form && 'typed' in form ? form.typed : undefined) as Record<string, string> | undefined);
	const problems = $derived(
		(form && 'problems' in form ? form.problems : undefined) as Record<string, string> | undefined
	);
	// Fields get defaults, not values: what is typed before the page comes to life stays.
	const percent = (p: number) => formatNumber(p * 100, p * 100 < 1 ? 1 : 0);
	const schoolSays = {
		renewSoft: 'Packings, seals, O-rings and gaskets are renewed whenever the pump is open; the rest by its condition.',
		onCondition: 'Whatever passes its look and its limits goes back in.',
		leastCost:
			'The set with the least expected cost, by odds, prices and the cost of an unplanned stop. Parts without odds go by their condition.'
	} as const;
	const fields = $derived([
		['intervalHours', 'Hours to the next planned service', String(data.policy.intervalHours), 'h'],
		['acceptBad', 'Risk of accepting a part that is beyond its limit', percent(data.policy.acceptBad), '%'],
		['scrapGood', 'Risk of scrapping a part that is inside', percent(data.policy.scrapGood), '%'],
		[
			'acceptWearOut',
			'Replace from this chance of passing the limit before the next service',
			percent(data.policy.acceptWearOut),
			'%'
		],
		[
			'downtimeCost',
			'Cost of an unplanned stop, besides opening the pump',
			String(data.policy.downtimeCost),
			data.shop?.currency ?? ''
		],
		[
			'lifeLeftShare',
			'Life left in a unit with a damaged drive end, against a new one: your assumption',
			percent(data.policy.lifeLeftShare),
			'%'
		]
	] as const);
</script>

<svelte:head><title>Shop · Exetasis</title></svelte:head>
<h1>{data.shop?.name}</h1>
<ShopNav />
<p class="soft mb-2">
	The rules that every verdict follows. Limits come from the model sheets; what a technician decides against a proposal
	is always kept with the reason.
</p>
<form
	method="post"
	action="?/policy"
	use:enhance={() =>
		async ({ update }) =>
			update({ reset: false })}
	class="columns"
>
	<div class="column">
		<fieldset class="sheet" disabled={!data.mayManage}>
			<legend>Replacement policy in force</legend>
			{#each schools as school (school)}
				<label class="school">
					<input
						type="radio"
						name="school"
						value={school}
						defaultChecked={(typed?.school ?? data.policy.school) === school}
					/>
					<span><b>{schoolName[school]}</b><br /><span class="soft">{schoolSays[school]}</span></span>
				</label>
			{/each}
		</fieldset>
		<fieldset class="sheet" disabled={!data.mayManage}>
			<legend>Shop rules where practice differs</legend>
			<div class="customs">
				{#each customChoices as [name, label, choices] (name)}
					<label class="label" for={name}>
						<span>{label}</span>
						<select id={name} {name}>
							{#each choices as [value, words] (value)}<option
									{value}
									selected={value === (typed?.[name] ?? data.policy[name])}>{words}</option
								>{/each}
						</select>
					</label>
				{/each}
			</div>
		</fieldset>
	</div>
	<fieldset class="sheet" disabled={!data.mayManage}>
		<legend>Figures</legend>
		{#each fields as [name, label, value, unit] (name)}
			<div class="label">
				<label for={name}>{label}, {unit}</label>
				<input
					id={name}
					{name}
					class="figures"
					inputmode="decimal"
					defaultValue={typed?.[name] ?? value}
					aria-invalid={problems?.[name] !== undefined}
					aria-describedby={problems?.[name] ? `${name}-problem` : undefined}
				/>
				{#if problems?.[name]}<p class="wrong" id="{name}-problem">{problems[name]}</p>{/if}
			</div>
		{/each}
	</fieldset>
	<div class="keep">
		{#if data.mayManage}
			<div><button class="btn main">Save</button></div>
			{#if form && 'kept' in form}<p role="status">Saved: every open job is judged by these from now on.</p>{/if}
		{:else}<p class="soft">A lead can change these.</p>{/if}
	</div>
</form>

<style>
	.columns {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 12px;
		align-items: start;
	}
	fieldset {
		padding: 0.9rem;
		display: grid;
		gap: 0.8rem;
	}
	legend {
		float: left;
		font-weight: 650;
	}
	.column {
		display: grid;
		gap: 12px;
	}
	.keep {
		grid-column: 1 / -1;
		position: sticky;
		bottom: 0;
		display: flex;
		align-items: center;
		gap: 1rem;
		padding: 0.6rem 0;
		background: var(--paper);
	}
	.customs {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
		gap: 0.8rem;
		clear: both;
	}
	.school {
		display: grid;
		grid-template-columns: 2.75rem 1fr;
		min-height: 44px;
		align-items: center;
		cursor: pointer;
	}
	.school input {
		width: 22px;
		height: 22px;
		accent-color: var(--mark);
	}
	.school .soft {
		font-size: 0.88rem;
	}
	@media (max-width: 900px) {
		.columns {
			grid-template-columns: 1fr;
		}
	}
</style>

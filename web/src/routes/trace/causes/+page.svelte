<!-- @component What the shop believes of causes: each with the findings that it brings about and how surely; a lead may change it. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { keptForm } from '$lib/forms/kept';
	import TraceNav from '$lib/trace/TraceNav.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import { day } from '$lib/format/time';
	import { findingName } from '$lib/words/causes';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	const { form, errors, enhance, message } = keptForm(untrack(() => data.form));
	const on = { pump: 'the whole pump', cylinder: 'one cylinder' };
	const kinds = { service: 'service', assembly: 'assembly', age: 'age' };
	const phases = { early: 'early', any: 'any time', late: 'late' };
</script>

<svelte:head><title>Causes · Exetasis</title></svelte:head>
<div class="flex flex-wrap items-center gap-x-6">
	<h1>Causes</h1>
	<TraceNav />
</div>
<p class="soft max-w-4xl">
	{data.revision === 0
		? 'Initial settings. The strengths are assumptions, each with the weight of ten confirmed cases. A lead can correct them.'
		: `Revision ${data.revision}, by ${data.madeBy} on ${day(data.madeAt ?? new Date())}.`}
	Confirmed cases move the strengths by themselves; others never do.
</p>
<div class="grid grid-cols-[repeat(auto-fill,minmax(23rem,1fr))] gap-3 mt-2">
	{#each data.network.causes as cause (cause.key)}
		<section class="sheet p-3">
			<h2 class="text-[1rem]">{cause.name}</h2>
			<p class="soft">
				On {on[cause.on]}; {kinds[cause.kind]}; {phases[cause.phase]}. At first {format.probability(cause.prior)},
				arises
				{format.number(cause.per1000h, 3)} times in 1000 h.
			</p>
			<ul>
				{#each cause.links as { finding, strength, priorWeight } (finding)}
					<li>
						<span class="bar" style="--share: {100 * strength}%" aria-hidden="true"></span>
						{findingName(data.network, finding)}: <span class="figures">{format.probability(strength)}</span>
						{#if data.revision > 0}<span class="soft">(weight {format.number(priorWeight)})</span>{/if}
					</li>
				{/each}
			</ul>
			<p>{cause.remedy}</p>
		</section>
	{/each}
</div>
{#if data.mayManage}
	<details class="mt-4">
		<summary class="btn">Edit causes</summary>
		<form method="post" use:enhance class="sheet mt-2 grid gap-3 p-4">
			<Fields>
				<input type="hidden" name="revision" value={$form.revision} />
				<label for="network-text">Causes, findings and links as JSON</label>
				<textarea
					id="network-text"
					name="text"
					class="textarea figures text-[0.8rem] w-full"
					rows="24"
					spellcheck="false"
					bind:value={$form.text}
					aria-invalid={$errors.text ? true : undefined}
					aria-describedby="network-problem"></textarea>
				{#if $errors.text}<p class="wrong" id="network-problem" role="alert">{$errors.text[0]}</p>{/if}
				<div><button class="btn main">Save revision</button></div>
			</Fields>
		</form>
	</details>
{/if}
{#if $message}<p role="status">{$message}</p>{/if}

<style>
	.bar {
		display: inline-block;
		width: 60px;
		height: 9px;
		background: linear-gradient(to right, var(--pencil) var(--share), transparent var(--share));
	}
</style>

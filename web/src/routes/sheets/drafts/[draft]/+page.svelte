<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { beforeNavigate } from '$app/navigation';
	import { changesBetween } from '@exetasis/core/draft';
	import { DraftState } from '$lib/builder/draft.svelte';
	import SheetBuilder from '$lib/builder/SheetBuilder.svelte';
	import { changeSentence, changesCount } from '$lib/words/draft';

	let { data, form } = $props();
	const draft = new DraftState(untrack(() => data.draft));
	beforeNavigate(() => void draft.flush());
	const changes = $derived(data.before ? changesBetween(data.before, draft.body) : []);
	const MOST = 30;
	let removing = $state(false);
</script>

<svelte:head><title>{draft.body.model} · draft · Exetasis</title></svelte:head>
<header class="flex flex-wrap items-center gap-2 mb-1.5">
	<h1 class="mr-auto">{draft.body.model} <span class="soft">draft of revision {draft.body.revision}</span></h1>
	{#if !data.mayManage}<span class="soft">A lead saves it as a sheet.</span>{:else}
		{#if removing}
			<form method="post" action="?/discard">
				<button class="btn">Delete draft for good</button>
				<button type="button" class="btn" onclick={() => (removing = false)}>Cancel</button>
			</form>
		{:else}<button type="button" class="btn" onclick={() => (removing = true)}>Delete draft</button>{/if}
		<form
			method="post"
			action="?/finish"
			use:enhance={async ({ formData, cancel }) => {
				await draft.flush();
				if (draft.state !== 'saved') return cancel();
				formData.set('version', String(draft.version));
			}}
		>
			<input type="hidden" name="version" value={draft.version} />
			<button class="btn main" disabled={draft.faults.length > 0}>Save revision {draft.body.revision}</button>
		</form>
		{#if draft.faults.length > 0}<span class="soft"
				>{draft.faults.length === 1 ? '1 problem' : `${draft.faults.length} problems`} to solve first (Check)</span
			>{/if}
	{/if}
</header>
{#if form?.problem}<p class="wrong" role="alert">{form.problem}</p>{/if}
<SheetBuilder
	{draft}
	customs={data.customs}
	first={data.first}
	currency={data.shop?.currency ?? ''}
	mayEdit={data.mayWork}
/>
{#if data.before && changes.length > 0}
	<details class="mt-3">
		<summary class="min-h-11 cursor-pointer"
			>{changesCount(changes.length)} from revision {data.before.revision}</summary
		>
		<ul class="list-disc pl-[1.4rem]">
			{#each changes.slice(0, MOST) as change, i (i)}<li>{changeSentence(change)}</li>{/each}
			{#if changes.length > MOST}<li class="soft">and {changes.length - MOST} more</li>{/if}
		</ul>
	</details>
{/if}

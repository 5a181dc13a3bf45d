<script lang="ts">
	import { enhance } from '$app/forms';
	import { layoutName } from '$lib/words/layout';

	let { data, form } = $props();
</script>

<svelte:head><title>Model sheets · Exetasis</title></svelte:head>
<h1>Model sheets</h1>
<p class="soft mb-2">
	Everything that is known of a pump model: its stack, sizes and discard limits, steps and cautions. An open JSON
	format; a job keeps the revision it began with.
</p>
<table class="list sheet">
	<thead><tr><th>Model</th><th>Layout</th><th class="number">Revision</th><th class="number">Pumps</th></tr></thead>
	<tbody>
		{#each data.sheets as sheet (sheet.id)}
			<tr>
				<td><a class="row" href="/sheets/{sheet.id}">{sheet.model}</a></td>
				<td>{layoutName(sheet.layout)}</td>
				<td class="number">{sheet.revision}</td>
				<td class="number">{sheet.pumps}</td>
			</tr>
		{:else}<tr><td colspan="4" class="soft">No sheet yet: a pump can only be received once its model has one.</td></tr
			>{/each}
	</tbody>
</table>
{#if data.mayManage}
	<h2 class="mt-6">Import a sheet</h2>
	<form
		method="post"
		enctype="multipart/form-data"
		use:enhance={() =>
			async ({ update }) =>
				update({ reset: false })}
		class="mt-2 grid gap-3"
	>
		<label class="field"><span>File</span><input type="file" name="file" accept=".json,application/json" /></label>
		<label class="field"
			><span>or its text</span><textarea
				name="text"
				rows="8"
				class="figures"
				spellcheck="false"
				value={form?.text ?? ''}></textarea></label
		>
		{#if form?.faults}
			<div role="alert">
				<p class="wrong">
					{form.faults.length + form.more === 1 ? 'One thing is' : `${form.faults.length + form.more} things are`} wrong with
					this sheet{form.more > 0 ? `, the first ${form.faults.length} of them below` : ''}; nothing was taken in.
				</p>
				<table class="list">
					<thead><tr><th class="number">Line</th><th>Path</th><th>What is wrong</th></tr></thead>
					<tbody
						>{#each form.faults as fault, index (index)}<tr
								><td class="number">{fault.line}</td><td class="figures">{fault.path}</td><td>{fault.message}</td></tr
							>{/each}</tbody
					>
				</table>
			</div>
		{/if}
		<div><button class="press main">Check and take in</button></div>
	</form>
{:else}
	<p class="soft mt-4">A lead can take sheets in.</p>
{/if}

<!-- @component Takes a whole job in that another shop has handed out as a file. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { keptForm } from '$lib/forms/kept';
	import Fields from '$lib/ui/Fields.svelte';
	import FileField from '$lib/ui/FileField.svelte';
	import ShopNav from '$lib/ui/ShopNav.svelte';

	let { data } = $props();
	const { errors, enhance, submitting } = keptForm(untrack(() => data.form));
</script>

<svelte:head><title>Job files · Exetasis</title></svelte:head>
<h1>{data.shop?.name}</h1>
<ShopNav />
<h2>Import job file</h2>
<div class="max-w-184 grid gap-2">
	<p>
		<i>Release ▸ Job file</i> exports a complete job: its model sheet, the pump, every part with its lot, the bench log with
		photographs, and the gauges. An imported job exports as the same file, byte for byte.
	</p>
	<p class="soft">
		Only jobs of pumps that are new to your shop can be imported, because importing a known pump would add its hours a
		second time. People of the other shop appear by name and cannot sign in. Missing sheets and gauges are added. Limit:
		32 MB.
	</p>
</div>
{#if data.mayManage}
	<form method="post" enctype="multipart/form-data" use:enhance class="mt-3 grid gap-3">
		<Fields>
			<FileField name="file" label="Job file" accept=".json,application/json" />
			{#if $errors.file}<p class="wrong" role="alert">{$errors.file[0]}</p>{/if}
			<div>
				<button class="btn main" disabled={$submitting}
					>{$submitting ? 'Checking the file …' : 'Import job file'}</button
				>
			</div>
		</Fields>
	</form>
{:else}<p>A lead can import jobs.</p>{/if}

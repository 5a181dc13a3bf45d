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
<h1>Shop</h1>
<ShopNav />
<h2>Take a job in from a file</h2>
<div class="text">
	<p>
		A job goes out whole under <i>Release ▸ Job file</i>: its sheet, the pump, every part with its lot, the bench log
		with its photographs, and the gauges it was measured with. Taken in here and handed out again it is the same file,
		byte for byte.
	</p>
	<p class="soft">
		Taken in is a pump that this shop does not know yet: the lives of its parts would else be told twice. People of the
		other shop appear by their names and cannot sign in. Sheet and gauges are used where they are the same here, and
		added where they are not there. At most 32 MB.
	</p>
</div>
{#if data.mayManage}
	<form method="post" enctype="multipart/form-data" use:enhance class="mt-3 grid gap-3">
		<Fields>
			<FileField name="file" label="Job file" accept=".json,application/json" />
			{#if $errors.file}<p class="wrong" role="alert">{$errors.file[0]}</p>{/if}
			<div>
				<button class="btn main" disabled={$submitting}>{$submitting ? 'Looking through it …' : 'Take it in'}</button>
			</div>
		</Fields>
	</form>
{:else}<p>A lead takes jobs in.</p>{/if}

<style>
	.text {
		max-width: 46rem;
		display: grid;
		gap: 0.5rem;
	}
</style>

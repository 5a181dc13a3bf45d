<!-- @component The letterhead of customer reports: lines below the shop's name, and its logo. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { keptForm } from '$lib/forms/kept';
	import Fields from '$lib/ui/Fields.svelte';
	import FileField from '$lib/ui/FileField.svelte';
	import { say } from '$lib/ui/said';
	import Said from '$lib/ui/Said.svelte';
	import ShopNav from '$lib/ui/ShopNav.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data } = $props();
	let saved = $state(0);
	const { form, errors, enhance } = keptForm(
		untrack(() => data.form),
		{
			onUpdated: ({ form: kept }) => {
				if (!kept.valid) return;
				saved++;
				say(String(kept.message));
			}
		}
	);
</script>

<svelte:head><title>Letterhead · Exetasis</title></svelte:head>
<h1>{data.shop?.name}</h1>
<ShopNav />
<Said />
<p class="soft mb-2">Printed at the top of every customer report, below the name of your shop.</p>
<form method="post" enctype="multipart/form-data" use:enhance class="sheet max-w-160 p-[0.9rem]">
	<Fields>
		<fieldset class="grid gap-[0.8rem]" disabled={!data.mayManage}>
			<TextField
				name="address"
				label="Address, telephone, registration (one per line)"
				rows={5}
				bind:value={$form.address}
				errors={$errors.address}
			/>
			{#if data.hasLogo}
				<img src="/shop/letterhead/logo?{saved}" alt="Logo of the shop" />
				<label class="flex items-center gap-2 min-h-11"
					><input
						type="checkbox"
						name="without"
						value="yes"
						checked={$form.without === 'yes'}
						onchange={({ currentTarget }) => ($form.without = currentTarget.checked ? 'yes' : '')}
					/>Print without a logo</label
				>
			{/if}
			{#if data.mayManage}
				<FileField
					name="file"
					label="{data.hasLogo ? 'Another logo' : 'Logo'}: PNG, JPEG or WebP"
					accept="image/png,image/jpeg,image/webp"
				/>
				{#if $errors.logo}<p class="wrong" role="alert">{$errors.logo[0]}</p>{/if}
				<div><button class="btn main">Save</button></div>
			{:else}<p class="soft">A lead can change this.</p>{/if}
		</fieldset>
	</Fields>
</form>

<style>
	img {
		max-width: 300px;
		max-height: 120px;
		background: white;
		padding: 6px;
		justify-self: start;
	}
</style>

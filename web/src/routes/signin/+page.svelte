<script lang="ts">
	import { untrack } from 'svelte';
	import { keptForm } from '$lib/forms/kept';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import Field from '$lib/ui/Field.svelte';

	let { data } = $props();
	const { form, errors, enhance, message } = keptForm(
		untrack(() => data.form),
		{ taintedMessage: null }
	);
	const accounts = [
		['ines@harrow.example', 'technician'],
		['mara@harrow.example', 'lead'],
		['bo@harrow.example', 'viewer']
	] as const;
	import Fields from '$lib/ui/Fields.svelte';
</script>

<svelte:head><title>Sign in · Exetasis</title></svelte:head>
<div class="max-w-120 mx-auto mt-[6vh] grid gap-[0.9rem]">
	<div class="flex text-ink-soft" aria-hidden="true">
		{#each ['lipSeal', 'adapter', 'vRing', 'plunger', 'washer', 'slinger'] as const as type (type)}<Glyph
				{type}
				size={84}
			/>{/each}
	</div>
	<h1 class="text-[2rem]">Exetasis</h1>
	<p class="soft">Inspect a stripped pump, decide on each part, and trace recurring failures.</p>
	<form class="grid gap-[0.8rem]" method="post" use:enhance>
		<Fields>
			<Field
				name="email"
				label="E-mail"
				type="email"
				autocomplete="username"
				bind:value={$form.email}
				errors={$errors.email}
			/>
			<Field
				name="password"
				label="Password"
				type="password"
				autocomplete="current-password"
				bind:value={$form.password}
				errors={$errors.password}
			/>
			{#if $message}<p class="wrong" role="alert">{$message}</p>{/if}
			<button class="btn main">Sign in</button>
		</Fields>
	</form>
	{#if data.demo}
		<div class="sheet p-[0.8rem] text-[0.9rem]">
			<p>
				<b>This server holds demo data:</b> an invented shop with invented pumps and people. Anyone can sign in with the
				password <span class="figures">harrow-sound</span>.
			</p>
			<div class="flex flex-wrap gap-2 mt-[0.6rem]">
				{#each accounts as [address, role] (address)}
					<form class="grid gap-[0.8rem]" method="post">
						<input type="hidden" name="email" value={address} />
						<input type="hidden" name="password" value="harrow-sound" />
						<button class="btn">{role}</button>
					</form>
				{/each}
			</div>
			{#if data.setup}<p class="mt-2"><a href="/welcome">Set up your own shop</a></p>{/if}
		</div>
	{/if}
</div>

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
<div class="page">
	<div class="drawing" aria-hidden="true">
		{#each ['lipSeal', 'adapter', 'vRing', 'plunger', 'washer', 'slinger'] as const as type (type)}<Glyph
				{type}
				size={84}
			/>{/each}
	</div>
	<h1>Exetasis</h1>
	<p class="soft">Inspect a stripped pump, decide on each part, and trace recurring failures.</p>
	<form method="post" use:enhance>
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
		<div class="demo sheet">
			<p>
				<b>This server holds demo data:</b> an invented shop with invented pumps and people. Anyone can sign in with the
				password <span class="figures">harrow-sound</span>.
			</p>
			<div class="accounts">
				{#each accounts as [address, role] (address)}
					<form method="post">
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

<style>
	.page {
		max-width: 30rem;
		margin: 6vh auto 0;
		display: grid;
		gap: 0.9rem;
	}
	.drawing {
		display: flex;
		color: var(--ink-soft);
	}
	h1 {
		font-size: 2rem;
	}
	form {
		display: grid;
		gap: 0.8rem;
	}
	.demo {
		padding: 0.8rem;
		font-size: 0.9rem;
	}
	.accounts {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
		margin-top: 0.6rem;
	}
</style>

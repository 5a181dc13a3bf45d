<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import Glyph from '$lib/glyph/Glyph.svelte';

	let { data, form } = $props();
	const accounts = [
		['ines@harrow.example', 'technician'],
		['mara@harrow.example', 'lead'],
		['bo@harrow.example', 'viewer']
	] as const;
	let email = $state(untrack(() => form?.email ?? ''));
	let password = $state('');
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
	<p class="soft">Inspect a stripped pump, decide part by part, find out why it keeps coming back.</p>
	<form
		method="post"
		use:enhance={() =>
			async ({ update }) =>
				update({ reset: false })}
	>
		<label class="label"
			><span>E-mail</span><input
				name="email"
				type="email"
				autocomplete="username"
				bind:value={email}
				aria-invalid={form?.problem !== undefined}
			/></label
		>
		<label class="label"
			><span>Password</span><input
				name="password"
				type="password"
				autocomplete="current-password"
				bind:value={password}
				aria-invalid={form?.problem !== undefined}
			/></label
		>
		{#if form?.problem}<p class="wrong" role="alert">{form.problem}</p>{/if}
		<button class="btn main">Sign in</button>
	</form>
	{#if data.demo}
		<div class="demo sheet">
			<p>
				<b>This server holds demo data:</b> an invented shop with invented pumps and people. Anybody may sign in with
				the password <span class="figures">harrow-sound</span>.
			</p>
			<div class="accounts">
				{#each accounts as [address, role] (address)}
					<button
						type="button"
						class="btn"
						onclick={() => {
							email = address;
							password = 'harrow-sound';
						}}>{role}</button
					>
				{/each}
			</div>
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
		gap: 8px;
		margin-top: 0.6rem;
	}
</style>

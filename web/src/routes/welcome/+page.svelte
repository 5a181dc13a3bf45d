<!-- @component The first page of a new server: try the demo, or set up a shop with its first lead. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance as plainEnhance } from '$app/forms';
	import { keptForm } from '$lib/forms/kept';
	import Field from '$lib/ui/Field.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import Working from '$lib/ui/Working.svelte';

	let { data, form: answer } = $props();
	const { form, errors, enhance, submitting } = keptForm(
		untrack(() => data.form),
		{ taintedMessage: null }
	);
	let loading = $state(false);
</script>

<svelte:head><title>Welcome · Exetasis</title></svelte:head>
<div class="max-w-184 mx-auto mt-[4vh] grid gap-[0.9rem]">
	<h1 class="text-[1.8rem]">Welcome to Exetasis</h1>
	{#if !data.demo}
		<section class="sheet p-4 grid gap-[0.6rem]" aria-label="Try the demo">
			<h2>Try the demo</h2>
			<p class="soft">An invented shop with 41 pumps and four years of rebuilds. You can remove it later.</p>
			<form
				class="grid gap-[0.7rem] justify-items-start"
				method="post"
				action="?/demo"
				use:plainEnhance={() => {
					loading = true;
					return ({ update }) => {
						loading = false;
						void update();
					};
				}}
			>
				{#if !data.here}<label class="label" for="demo-code">One-time code</label>
					<input id="demo-code" class="input figures" name="code" autocomplete="off" maxlength="20" />{/if}
				<button class="btn" disabled={loading}>Load demo</button>
				{#if loading}<Working what="Loading the demo, about 30 seconds …" />{/if}
				{#if answer && 'demo' in answer && answer.demo}<p class="wrong" role="alert">{answer.demo}</p>{/if}
			</form>
		</section>
	{/if}
	<section class="sheet p-4 grid gap-[0.6rem]" aria-label="Set up your shop">
		<h2>Set up your shop</h2>
		<p class="soft">You become its first lead. You can invite other people later.</p>
		<form method="post" action="?/shop" use:enhance class="fields grid gap-[0.7rem] justify-items-start">
			<Fields>
				<Field name="shop" label="Shop" hint="Quay Pump Works" bind:value={$form.shop} errors={$errors.shop} />
				<Field name="currency" label="Currency" hint="EUR" bind:value={$form.currency} errors={$errors.currency} />
				<Field name="name" label="Your name" bind:value={$form.name} errors={$errors.name} />
				<Field
					name="units"
					label="Units"
					bind:value={$form.units}
					errors={$errors.units}
					options={[
						['metric', 'mm, N·m, bar, °C'],
						['inch', 'inch, ft·lbf, psi, °F']
					]}
				/>
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
					autocomplete="new-password"
					bind:value={$form.password}
					errors={$errors.password}
				/>
				{#if !data.here}<Field
						name="code"
						label="One-time code"
						autocomplete="off"
						bind:value={$form.code}
						errors={$errors.code}
					/>{/if}
				<button class="btn main col-span-full justify-self-end" disabled={$submitting}>Set up shop</button>
			</Fields>
		</form>
	</section>
	{#if data.own > 0 || data.demo}<p><a href="/signin">Sign in</a></p>{/if}
</div>

<style>
	.fields {
		grid-template-columns: repeat(2, minmax(0, 1fr));
		justify-items: stretch;
		align-items: start;
	}
	@media (max-width: 600px) {
		.fields {
			grid-template-columns: 1fr;
		}
	}
</style>

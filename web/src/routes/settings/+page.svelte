<script lang="ts">
	import { enhance } from '$app/forms';

	let { data, form } = $props();
	const choices = [
		[
			'length',
			'Lengths',
			[
				['mm', 'mm'],
				['in', 'inch']
			]
		],
		[
			'torque',
			'Torque',
			[
				['Nm', 'N·m'],
				['ftlbf', 'ft·lbf'],
				['inlbf', 'in·lbf']
			]
		],
		[
			'pressure',
			'Pressure',
			[
				['bar', 'bar'],
				['MPa', 'MPa'],
				['psi', 'psi']
			]
		],
		[
			'temperature',
			'Temperature',
			[
				['C', '°C'],
				['F', '°F']
			]
		]
	] as const;
</script>

<svelte:head><title>Settings · Exetasis</title></svelte:head>
<h1>Settings</h1>
<p class="soft mb-4">Your own units. They change what you see and type, never what is stored.</p>
<form method="post" action="?/units" use:enhance class="grid max-w-md gap-4">
	{#each choices as [name, label, options] (name)}
		<label class="field">
			<span>{label}</span>
			<select {name}>
				{#each options as [value, text] (value)}<option {value} selected={value === data.chosen[name]}>{text}</option
					>{/each}
			</select>
		</label>
	{/each}
	<div><button class="press main">Save</button></div>
	{#if form && 'saved' in form}<p role="status">Saved.</p>{/if}
	{#if form && 'problem' in form}<p class="wrong" role="alert">{form.problem}</p>{/if}
</form>
<h2 class="mt-6">Password</h2>
<p class="soft mb-2">A new password signs you out everywhere; then sign in with it.</p>
<form method="post" action="?/password" use:enhance class="grid max-w-md gap-4">
	<label class="field"
		><span>Password now</span><input type="password" name="current" autocomplete="current-password" /></label
	>
	<label class="field"><span>New password</span><input type="password" name="next" autocomplete="new-password" /></label
	>
	<div><button class="press">Change the password</button></div>
	{#if form && 'password' in form}<p class="wrong" role="alert">{form.password}</p>{/if}
</form>

<script lang="ts">
	import { enhance } from '$app/forms';

	let { data, form } = $props();
	const written = [
		['point-space', '12 345.6'],
		['point-comma', '12,345.6'],
		['comma-space', '12 345,6'],
		['comma-point', '12.345,6']
	] as const;
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
		<label class="label">
			<span>{label}</span>
			<select {name}>
				{#each options as [value, text] (value)}<option {value} selected={value === data.chosen[name]}>{text}</option
					>{/each}
			</select>
		</label>
	{/each}
	<div><button class="btn main">Save</button></div>
	{#if form && 'saved' in form}<p role="status">Saved.</p>{/if}
	{#if form && 'problem' in form}<p class="wrong" role="alert">{form.problem}</p>{/if}
</form>
<h2 class="mt-6">Numbers</h2>
<p class="soft mb-2">How they are written. What you type is read either way.</p>
<form method="post" action="?/numerals" use:enhance={() => () => location.reload()} class="grid max-w-md gap-4">
	<label class="label">
		<span>Written as</span>
		<select name="numerals">
			{#each written as [key, example] (key)}<option value={key} selected={data.numerals === key}>{example}</option
				>{/each}
		</select>
	</label>
	<div><button class="btn">Write them so</button></div>
</form>

<h2 class="mt-6">At the bench</h2>
<form method="post" action="?/hands" use:enhance class="grid max-w-md gap-4">
	<label class="label">
		<span>Hand that touches</span>
		<select name="hand">
			<option value="right" selected={data.hand === 'right'}>right: Look to the left, Judge to the right</option>
			<option value="left" selected={data.hand === 'left'}>left: mirrored</option>
		</select>
	</label>
	<label class="label">
		<span>Pad for readings</span>
		<select name="pad">
			<option value="touch" selected={data.pad === 'touch'}>by itself where one touches</option>
			<option value="always" selected={data.pad === 'always'}>always by itself</option>
			<option value="never" selected={data.pad === 'never'}>only when asked for</option>
		</select>
	</label>
	<div><button class="btn">Keep for the bench</button></div>
	{#if form && 'handsSaved' in form}<p role="status">Saved.</p>{/if}
</form>

<h2 class="mt-6">Password</h2>
<p class="soft mb-2">A new password signs you out everywhere; then sign in with it.</p>
<form method="post" action="?/password" use:enhance class="grid max-w-md gap-4">
	<label class="label"
		><span>Password now</span><input type="password" name="current" autocomplete="current-password" /></label
	>
	<label class="label"><span>New password</span><input type="password" name="next" autocomplete="new-password" /></label
	>
	<div><button class="btn">Change the password</button></div>
	{#if form && 'password' in form}<p class="wrong" role="alert">{form.password}</p>{/if}
</form>

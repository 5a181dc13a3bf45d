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
	<div><button class="press main">Keep</button></div>
	{#if form && 'saved' in form}<p role="status">Kept.</p>{/if}
	{#if form && 'problem' in form}<p class="wrong" role="alert">{form.problem}</p>{/if}
</form>

<!-- @component Which cylinders this job opens, changed while it is open; the effect is shown before it is saved. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { applies, openedCylinders, stationsInScope, staysIn } from '@exetasis/core/record';
	import { keptForm } from '$lib/forms/kept';
	import { benchInUse } from '$lib/log/bench.svelte';
	import Cylinders from '$lib/pump/Cylinders.svelte';
	import CylinderOne from '$lib/pump/CylinderOne.svelte';
	import Fields from '$lib/ui/Fields.svelte';

	let { data } = $props();
	const { form, errors, enhance } = keptForm(untrack(() => data.form));
	const bench = $derived(benchInUse()());
	const { sheet, job } = $derived(bench.bench);
	const before = $derived(openedCylinders(sheet, job));
	const all = $derived(Array.from({ length: sheet.cylinders }, (_, i) => i + 1));
	const chosen = $derived($form.cylinders ? $form.cylinders.split(',').map(Number) : all);
	const added = $derived(chosen.filter((cylinder) => !before.includes(cylinder)));
	const shut = $derived(before.filter((cylinder) => !chosen.includes(cylinder)));
	const partsAt = (cylinder: number) =>
		stationsInScope(sheet, job).filter(
			(station) => station.per === 'cylinder' && applies(station.onlyWith, job.variants, cylinder)
		);
	// What has to be gone through again for a cylinder that comes in addition.
	const again = $derived(
		added.length > 0
			? bench.bench.sheet.steps.filter(
					(step) =>
						bench.log.steps.has(step.key) &&
						step.stage === 'strip' &&
						step.stations.some((key) => sheet.stations.find((station) => station.key === key)?.per === 'cylinder')
				)
			: []
	);
	const locked = $derived(job.releasedAt !== null || !data.mayWork);
</script>

<svelte:head><title>Cylinders {job.serial} · Exetasis</title></svelte:head>
<h1>Change opened cylinders</h1>
{#if sheet.cylinderOne}<CylinderOne cylinderOne={sheet.cylinderOne} count={sheet.cylinders} />{/if}
<form method="post" use:enhance class="sheet mt-2 grid max-w-xl gap-3 p-4">
	<Fields>
		<Cylinders
			count={sheet.cylinders}
			bind:opened={
				() => (chosen.length === all.length ? '' : chosen.join()), (text) => ($form.cylinders = text || all.join())
			}
			problem={$errors.cylinders?.[0]}
		/>
		<div role="status">
			{#each added as cylinder (cylinder)}
				<p>
					Cylinder {cylinder} is opened: {partsAt(cylinder).filter((part) => !staysIn(part)).length} parts are added to the
					mat.
				</p>
			{/each}
			{#each shut as cylinder (cylinder)}
				<p>Cylinder {cylinder} stays closed. Its {partsAt(cylinder).length} parts are removed from the mat.</p>
			{/each}
			{#each again as step (step.key)}<p class="wrong">
					Signed off already, do it at the new cylinder too: {step.text}
				</p>{/each}
			{#if added.length + shut.length === 0}<p class="soft">No change.</p>{/if}
		</div>
		<p>
			<button class="btn main" disabled={locked || added.length + shut.length === 0}>Save cylinders</button>
			<a class="btn" href="/jobs/{job.id}/strip">Cancel</a>
		</p>
	</Fields>
</form>

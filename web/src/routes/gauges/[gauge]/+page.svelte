<!-- @component One gauge: what it is worth, its certificates, where it was used; a lead puts it right, files certificates, retires it. -->
<script lang="ts">
	import Wide from '$lib/ui/Wide.svelte';
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { gaugeKinds } from '@exetasis/core/part';
	import { keptForm } from '$lib/forms/kept';
	import CertificateFields from '$lib/forms/CertificateFields.svelte';
	import GaugeFields from '$lib/forms/GaugeFields.svelte';
	import { day } from '$lib/format/time';
	import { gaugeUnitLabel } from '$lib/words/gauges';

	let { data } = $props();
	const { gauge } = $derived(data);
	const unit = $derived(gaugeUnitLabel(gauge.kind));
	const facts = keptForm(untrack(() => data.facts));
	const certificate = keptForm(
		untrack(() => data.certificate),
		{ resetForm: true }
	);
	const { form: typed, errors, enhance: keepFacts, message: factsSay } = facts;
	const { form: filed, errors: filedErrors, enhance: file, message: filedSay } = certificate;
	const overdue = $derived(
		data.certificates.length > 0 && data.certificates[0].dueOn < new Date().toISOString().slice(0, 10)
	);
	import Fields from '$lib/ui/Fields.svelte';
</script>

<svelte:head><title>{gauge.name} · Exetasis</title></svelte:head>
<h1>
	{gauge.name}
	<span class="soft">{gauge.kind}{gauge.retiredOn ? `, retired ${day(gauge.retiredOn)}` : ''}</span>
</h1>
{#if data.certificates.length > 0}
	<p class:wrong={overdue && !gauge.retiredOn} class="mb-2">
		Due {day(data.certificates[0].dueOn)}{overdue ? ': overdue, uncertainty doubled until it is calibrated' : ''}.
	</p>
{/if}
<div class="columns grid grid-cols-[1fr_1fr] gap-4 items-start max-[900px]:grid-cols-[1fr]">
	<section aria-label="Certificates">
		<h2>Certificates</h2>
		<Wide label="Certificates">
			<table class="table sheet">
				<thead
					><tr
						><th>Certificate</th><th>Calibrated</th><th>Due</th><th class="number">U ({unit})</th><th class="number"
							>k</th
						></tr
					></thead
				>
				<tbody>
					{#each data.certificates as certificate (certificate.id)}
						<tr
							><td>{certificate.certificate}</td><td>{day(certificate.calibratedOn)}</td><td
								>{day(certificate.dueOn)}</td
							><td class="number">{certificate.expandedU}</td><td class="number">{certificate.k}</td></tr
						>
					{/each}
				</tbody>
			</table>
		</Wide>
	</section>
	<section aria-label="Use">
		<h2>Use</h2>
		<Wide label="Readings">
			<table class="table sheet">
				<thead><tr><th>Pump</th><th>Received</th><th class="number">Readings</th></tr></thead>
				<tbody>
					{#each data.uses as use (use.job)}
						<tr
							><td><a class="row" href="/jobs/{use.job}/inspect">{use.serial}</a></td><td>{day(use.receivedAt)}</td><td
								class="number">{use.readings}</td
							></tr
						>
					{:else}<tr><td colspan="3" class="soft">Not used yet. Choose it beside a reading.</td></tr>{/each}
				</tbody>
			</table>
		</Wide>
	</section>
</div>
{#if data.mayManage}
	<form method="post" action="?/certificate" use:file class="sheet mt-4 grid gap-3 p-4">
		<Fields>
			<h2>New certificate</h2>
			<CertificateFields bind:typed={$filed} errors={$filedErrors} />
			<div class="flex items-center gap-3">
				<button class="btn main">Add certificate</button>{#if $filedSay}<p role="status">{$filedSay}</p>{/if}
			</div>
		</Fields>
	</form>
	<form method="post" action="?/facts" use:keepFacts class="sheet mt-4 grid gap-3 p-4">
		<Fields>
			<h2>Accuracy</h2>
			<GaugeFields bind:typed={$typed} errors={$errors} kinds={gaugeKinds} />
			<div class="flex items-center gap-3">
				<button class="btn main">Save</button>{#if $factsSay}<p role="status">{$factsSay}</p>{/if}
			</div>
		</Fields>
	</form>
	<form method="post" action="?/retire" use:enhance class="mt-4">
		<Fields>
			<input type="hidden" name="retired" value={gauge.retiredOn === null} />
			<button class="btn">{gauge.retiredOn === null ? 'Retire gauge' : 'Reactivate gauge'}</button>
		</Fields>
	</form>
{/if}

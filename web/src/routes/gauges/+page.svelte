<script lang="ts">
	import { gaugeUnit, type GaugeKind } from '@exetasis/core/part';
	import { unitLabel } from '@exetasis/core/quantity';
	import { day } from '$lib/ui/time';

	let { data } = $props();
	const unitOf = (kind: string) => unitLabel(gaugeUnit[kind as GaugeKind] ?? 'mm');
</script>

<svelte:head><title>Gauges · Exetasis</title></svelte:head>
<h1>Gauges</h1>
<p class="soft mb-2">
	What each gauge is worth: every reading carries this into its uncertainty. Overdue gauges stay usable; their
	certificate then counts with twice its uncertainty.
</p>
<table class="list sheet">
	<thead>
		<tr
			><th>Gauge</th><th>Kind</th><th class="number">Resolution</th><th class="number">Calibration U (k)</th><th
				class="number">Repeatability s</th
			><th class="number">Reproducibility s</th><th>Calibrated</th><th>Due</th></tr
		>
	</thead>
	<tbody>
		{#each data.gauges as gauge (gauge.id)}
			<tr>
				<td>{gauge.name}</td>
				<td>{gauge.kind}</td>
				<td class="number">{gauge.facts.resolution} {unitOf(gauge.kind)}</td>
				<td class="number">{gauge.facts.calibrationU} ({gauge.facts.calibrationK})</td>
				<td class="number">{gauge.facts.repeatability}</td>
				<td class="number">{gauge.facts.reproducibility}</td>
				<td>{day(gauge.calibratedOn)}</td>
				<td class:wrong={gauge.facts.overdue}>{day(gauge.dueOn)}{gauge.facts.overdue ? ', overdue' : ''}</td>
			</tr>
		{:else}<tr><td colspan="8" class="soft">No gauge yet.</td></tr>{/each}
	</tbody>
</table>

<!-- @component What the pump pumps, how far it has run, and what its assemblies weigh. -->
<script lang="ts">
	import type { ModelSheet } from '@exetasis/core/record';
	import type { Bench } from '@exetasis/server/jobs/bench';
	import { documentsAt } from '$lib/log/documents';
	import DocumentLinks from '$lib/ui/DocumentLinks.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		sheet: ModelSheet;
		job: Bench['job'];
	}
	let { sheet, job }: Props = $props();
	const evidence = $derived(job.arrival.evidence);
	const facts = $derived(
		[
			['Place of work', job.arrival.workplace === 'machine' ? 'the machine' : ''],
			['Cylinders', job.arrival.cylinders?.join(', ')],
			[
				'Cylinder 1',
				sheet.cylinderOne ? (job.arrival.cylinderOne ? 'checked at receiving' : 'not checked at receiving') : ''
			],
			[
				'Evidence for opening',
				evidence && ('seen' in evidence ? evidence.seen : `reason of a lead: ${evidence.reason}`)
			],
			['Last rebuild', job.arrival.lastRebuild],
			['Connections', job.arrival.connections],
			['Liquid', job.duty.liquid],
			['Pressure', job.duty.pressureMPa && format.quantity(job.duty.pressureMPa, format.units.pressure)],
			[
				'Temperature',
				job.duty.temperatureC !== undefined && format.quantity(job.duty.temperatureC, format.units.temperature)
			],
			['Inlet', job.duty.inlet],
			[
				'Inlet pressure',
				job.duty.inletPressureMPa !== undefined && format.quantity(job.duty.inletPressureMPa, format.units.pressure)
			],
			['Starts since last rebuild', job.duty.starts !== undefined && format.number(job.duty.starts)],
			['Hour meter', format.quantity(job.meterHours, 'h')],
			...sheet.assemblies.map(({ name, massKg }) => [name, massKg && `${massKg} kg`] as const)
		].filter(([, value]) => value)
	);
</script>

<dl class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 text-[0.9rem]">
	{#each facts as [name, value] (name)}<dt class="text-ink-soft">{name}</dt>
		<dd>{value}</dd>{/each}
</dl>
{#if sheet.cylinders > 1 && !job.releasedAt}<a class="btn" href="/jobs/{job.id}/cylinders">Change opened cylinders</a
	>{/if}
<DocumentLinks documents={documentsAt({ sheet: true })} />

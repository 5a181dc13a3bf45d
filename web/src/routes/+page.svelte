<!-- @component Floor: every job in the shop, where it stands and what it waits for. -->
<script lang="ts">
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import { ago, day } from '$lib/ui/time';
	import { scopeName } from '$lib/words/scope';

	let { data } = $props();

	type Job = (typeof data.jobs)[number];
	function stage(job: Job): { at: string; path: string; waits: string } {
		const { looked, parts, decided } = job;
		if (looked === 0)
			return {
				at: 'Strip',
				path: 'strip',
				waits: job.steps === 0 ? 'to be isolated and stripped' : `${job.steps} steps signed off`
			};
		if (decided < parts)
			return {
				at: 'Inspect',
				path: 'inspect',
				waits: `${parts - looked} parts to look at, ${parts - decided} to decide`
			};
		return { at: 'Release', path: 'release', waits: 'everything decided: to be released' };
	}
</script>

<svelte:head><title>Floor · Exetasis</title></svelte:head>
<div class="head">
	<h1>Floor</h1>
	{#if data.mayWork}<a class="press main" href="/receive">Receive a pump</a>{/if}
</div>
{#if data.jobs.length === 0}
	<p class="soft">No pump is in the shop. {data.mayWork ? 'Receive the next one to begin.' : ''}</p>
{:else}
	<table class="list sheet">
		<thead>
			<tr
				><th>Pump</th><th>Complaint</th><th>Work</th><th>In since</th><th>Stands at</th><th>Waits for</th><th>Recurs</th
				></tr
			>
		</thead>
		<tbody>
			{#each data.jobs as job (job.id)}
				{@const now = stage(job)}
				<tr>
					<td
						><a class="row" href="/jobs/{job.id}/{now.path}">{job.serial}</a><br /><span class="soft"
							>{job.tag ?? ''}{job.site ? `, ${job.site}` : ''}</span
						></td
					>
					<td>{job.complaint}</td>
					<td>{scopeName[job.scope]}<br /><span class="soft whitespace-nowrap">{job.model}</span></td>
					<td>{ago(job.receivedAt)}</td>
					<td><b>{now.at}</b></td>
					<td>
						{now.waits}
						<span class="progress" aria-hidden="true"
							><i style="width: {(100 * job.decided) / job.parts}%" class="decided"></i><i
								style="width: {(100 * Math.max(0, job.looked - job.decided)) / job.parts}%"
							></i></span
						>
					</td>
					<td>
						{#if data.recurring[job.pumpId]}
							{@const one = data.recurring[job.pumpId]}
							<a class="row" href="/trace?pump={job.pumpId}"
								>{patternName(one.pattern as PatternKey)}, {one.rate.events}×{one.cylinder
									? ` on cylinder ${one.cylinder}`
									: ''}</a
							>
						{:else}<span class="soft">nothing that stands out</span>{/if}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
{/if}
<h2 class="mt-6">Released last</h2>
{#if data.released.length === 0}<p class="soft">Nothing yet.</p>{/if}
<table class="list">
	<tbody>
		{#each data.released as job (job.id)}
			<tr>
				<td><a class="row" href="/jobs/{job.id}/inspect">{job.serial}</a></td>
				<td>{job.tag ?? ''}{job.site ? `, ${job.site}` : ''}</td>
				<td>{day(job.releasedAt)}</td>
				<td class="number">{job.replaced} parts replaced</td>
			</tr>
		{/each}
	</tbody>
</table>

<style>
	.head {
		display: flex;
		justify-content: space-between;
		align-items: center;
		margin-bottom: 8px;
	}
	.progress {
		display: flex;
		height: 6px;
		margin-top: 4px;
		border: 1px solid var(--line);
	}
	.progress i {
		background: repeating-linear-gradient(90deg, var(--ink-soft) 0 2px, transparent 2px 4px);
	}
	.progress .decided {
		background: var(--ink-soft);
	}
</style>

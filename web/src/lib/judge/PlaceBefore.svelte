<!-- @component What lay at this place before: the lives of its parts, newest first, how each ended and what was found on it. -->
<script lang="ts">
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import type { Station } from '@exetasis/core/record';
	import { lifeEndName } from '$lib/words/lives';
	import { placeBeforeSchema, type PlaceBefore } from '$lib/judge/placeBefore';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		job: string;
		station: Station;
		cylinder: number;
	}
	let { job, station, cylinder }: Props = $props();

	const before = $derived(ask(`/jobs/${job}/places/${station.key}/${cylinder}`));
	async function ask(path: string): Promise<PlaceBefore> {
		const answer = await fetch(path);
		if (!answer.ok) throw new Error(`${answer.status}`);
		return placeBeforeSchema.parse(await answer.json());
	}
	const hours = (from: number | null, to: number | null) =>
		from === null || to === null ? 'hours unknown' : `${format.number(to - from)} h`;
</script>

{#await before}
	<p class="soft">Loading …</p>
{:then lives}
	<ol class="text-[0.86rem]">
		{#each lives as life (life.part)}
			<li>
				<b>{life.removedHours === null ? 'In this job' : lifeEndName[life.endReason!]}</b>
				<span class="figures">{life.removedHours === null ? '' : hours(life.fittedHours, life.removedHours)}</span>
				<span class="soft"
					>{life.fittedHours === null
						? 'fitted before the history began'
						: `fitted at ${format.number(life.fittedHours)} h`}{life.patterns.length > 0
						? `; ${life.patterns.map((pattern) => patternName(pattern as PatternKey)).join(', ')}`
						: ''}</span
				>
			</li>
		{:else}<li class="soft">No history of this place yet.</li>{/each}
	</ol>
{:catch}
	<p class="soft">Could not be loaded. Check the connection.</p>
{/await}
